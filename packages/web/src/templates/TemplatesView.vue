<script setup lang="ts">
import { mdiContentDuplicate, mdiPencilOutline, mdiPlus } from '@mdi/js'
import { addTemplate, changeTemplate, deleteTemplate, listTemplates, restoreFromBin, readTemplateWhole, saveTemplateVersion, type Template } from '@idolon/contract'
import type { TemplateBody, TemplateSlot } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { messageOf } from '../api/problem.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { useAsked } from '../shared/asked.ts'
import { counted, sayWhen } from '../shared/said.ts'
import ShelfParts from '../shelf/ShelfParts.vue'
import { useProjects } from '../stores/projects.ts'
import FillTable from './FillTable.vue'
import { frameParts } from './frame-parts.ts'
import FrameText from './FrameText.vue'
import LearnTemplate from './LearnTemplate.vue'
import MadeDrafts from './MadeDrafts.vue'
import { takeTexts } from './texts-to-learn.ts'
import TemplateEditor from './TemplateEditor.vue'
import FoldOut from '../shared/FoldOut.vue'

/** Texts with slots: filled one at a time or as a table, learned from variants, changed, and what was made from each. */
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const { data: all, load } = usePageData({
  key: () => ['templates', projects.current?.id],
  read: (signal) => call(listTemplates, { query: projects.current ? { project: projects.current.id } : {}, signal }),
  on: ({ kind }) => kind === 'templates',
})
const writing = shallowRef<{ body: TemplateBody; projectId: string | null; on?: Template }>()
const learning = shallowRef<readonly string[]>()
const problem = ref<string>()
const own = computed(() => all.value?.filter(({ shipped }) => !shipped) ?? [])
const shipped = computed(() => all.value?.filter((one) => one.shipped) ?? [])
const id = computed(() => String(route.params['template'] ?? '') || all.value?.[0]?.id)
const { data: whole, loading, load: loadOne } = usePageData({
  key: () => (id.value ? ['template', id.value] : undefined),
  read: (signal) => call(readTemplateWhole, { params: { template: id.value! }, signal }),
  on: ({ kind }) => kind === 'templates',
})

const loadAll = () => Promise.all([load(), loadOne()])
watch(() => route.params['template'], () => (writing.value = undefined))

const BLANK: TemplateBody = { name: '', does: '', text: 'a {{ subject }} in {{ setting }}, ', slots: [], leaveOut: [] }
const titleFor = (slots: readonly TemplateSlot[]) => slots.map(({ name }) => name).slice(0, 3).join(', ').replace(/^\p{L}/u, (letter) => letter.toUpperCase())
function begin(body: TemplateBody): void {
  learning.value = undefined
  problem.value = undefined
  writing.value = { body, projectId: projects.current?.id ?? null }
}
const waiting = takeTexts()
if (waiting?.learn) learning.value = waiting.learn
else if (waiting?.body) begin(waiting.body)
useAsked(new Map([['learn', () => (learning.value = [])], ['new', () => begin(BLANK)]]))

async function save(body: TemplateBody, projectId: string | null, why: string): Promise<void> {
  const { on } = writing.value!
  problem.value = undefined
  try {
    const kept = on ? await call(saveTemplateVersion, { params: { template: on.id }, body: { on: on.version, body, why } }) : await call(addTemplate, { body: { projectId, body, why } })
    if (on && on.projectId !== projectId) await call(changeTemplate, { params: { template: on.id }, body: { projectId } })
    writing.value = undefined
    await load()
    if (route.params['template'] === kept.id) await loadOne()
    else await router.push(`/shelf/templates/${kept.id}`)
    notices.show(on ? `Version ${kept.version} of “${kept.body.name}” is saved.${kept.behind ? ` ${counted(kept.behind, 'draft')} can take its change.` : ''}` : `“${kept.body.name}” is saved.`)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
const remove = ({ id: which, body }: Template) =>
  task(async () => {
    await router.push('/shelf/templates')
    await call(deleteTemplate, { params: { template: which } })
    await load()
    notices.show(`“${body.name}” is in the bin. What was made from it stays.`, { action: { label: 'Restore', run: () => void task(async () => {
      await call(restoreFromBin, { params: { kind: 'template', id: which } })
      await load()
      await router.push(`/shelf/templates/${which}`)
    }) } })
  })
</script>

<template>
  <main class="page templates">
    <header>
      <h1 class="view-title">Templates <span class="scope">{{ projects.current ? `for ${projects.current.name} and for all` : 'for all projects' }}</span></h1>
      <ShelfParts />
      <p class="row-actions">
        <v-btn :prepend-icon="mdiPlus" @click="begin(BLANK)">New template</v-btn>
        <v-btn @click="(writing = undefined), (learning = [])">Learn one from texts</v-btn>
      </p>
    </header>
    <div class="columns">
      <nav aria-label="Templates">
        <template v-for="[name, list] in ([['Yours', own], ['Ship with Idolon', shipped]] as const)" :key="name">
          <h2 v-if="list.length" class="soft">{{ name }}</h2>
          <ul>
            <li v-for="one in list" :key="one.id">
              <RouterLink class="choice tall" :to="`/shelf/templates/${one.id}`" :aria-current="one.id === id && !writing && !learning ? 'true' : undefined">
                <span class="name">{{ one.body.name }}</span>
                <span v-if="one.drafts" class="soft">{{ counted(one.drafts, 'draft') }}{{ one.keepers ? `, ${one.keepers} kept` : '' }}{{ one.behind ? '; has changed since' : '' }}</span>
              </RouterLink>
            </li>
          </ul>
        </template>
      </nav>
      <LearnTemplate v-if="learning" :begun="learning" @take="(text: string, slots: TemplateSlot[]) => begin({ name: titleFor(slots), does: '', text, slots, leaveOut: [] })" @cancel="learning = undefined" />
      <TemplateEditor v-else-if="writing" :key="writing.on?.id ?? 'new'" :body="writing.body" :project-id="writing.projectId" :is-new="!writing.on" :problem="problem" @save="save" @cancel="writing = undefined" />
      <article v-else-if="whole" class="template">
        <h2 class="titled">{{ whole.template.body.name }} <span class="soft">{{ whole.template.shipped ? 'ships with Idolon' : whole.template.projectId ? projects.byId(whole.template.projectId)?.name : 'for all projects' }}{{ whole.versions.length > 1 ? `, version ${whole.template.version}` : '' }}</span></h2>
        <p v-if="whole.template.body.does" class="soft">{{ whole.template.body.does }}</p>
        <FrameText :parts="frameParts(whole.template.body.text)" />
        <p v-if="whole.template.body.leaveOut.length" class="soft">Left out: {{ whole.template.body.leaveOut.join(', ') }}</p>
        <p class="row-actions">
          <v-btn :prepend-icon="mdiPencilOutline" @click="writing = { body: whole.template.body, projectId: whole.template.projectId, on: whole.template }">Edit</v-btn>
          <v-btn :prepend-icon="mdiContentDuplicate" @click="begin({ ...whole.template.body, name: `${whole.template.body.name}, copy` })">Copy</v-btn>
          <v-btn v-if="!whole.template.shipped" variant="text" @click="remove(whole.template)">Delete</v-btn>
        </p>
        <FillTable :template="whole.template" @made="loadAll" />
        <MadeDrafts :whole="whole" @changed="loadAll" />
        <FoldOut v-if="whole.versions.length > 1" title="Versions">
          <ul class="versions">
            <li v-for="version in whole.versions" :key="version.number"><strong>{{ version.number }}</strong> <span class="soft">{{ sayWhen(version.madeAt) }}{{ version.why ? `: ${version.why}` : '' }}</span><FrameText :parts="frameParts(version.body.text)" /><v-btn v-if="version.number !== whole.template.version" variant="text" @click="writing = { body: version.body, projectId: whole.template.projectId, on: whole.template }">Go back to this</v-btn></li>
          </ul>
        </FoldOut>
      </article>
      <v-skeleton-loader v-else-if="loading" type="heading, paragraph, table-tbody" />
    </div>
  </main>
</template>

<style scoped>
.templates,
.template {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
header {
  display: grid;
  gap: 10px;
}
.columns {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 28px;
  align-items: start;
}
nav h2 {
  margin: 4px 0 4px 11px;
  font-size: 12.5px;
  font-weight: 400;
}
.template {
  gap: 10px;
}
.versions {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
</style>
