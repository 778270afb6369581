<script setup lang="ts">
import { mdiPencilOutline } from '@mdi/js'
import { deleteWritingStyle, listBin, listWritingStyles, type WritingStyle, restoreFromBin, readPrompt, saveWritingStyle, searchShelf } from '@idolon/contract'
import { type WritingStyleBody, styleInWords, MAX_EXAMPLES, MIN_EXAMPLES } from '@idolon/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import { useAsked } from '../shared/asked.ts'
import { counted } from '../shared/said.ts'
import { textsIn } from '../shared/texts-in.ts'
import ShelfParts from '../shelf/ShelfParts.vue'
import { useProjects } from '../stores/projects.ts'
import WritingStyleEditor from './WritingStyleEditor.vue'
import WriteInStyle from './WriteInStyle.vue'

/** Ways of writing: learned from a handful of good prompts, corrected, and written in. */
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const reading = new ReadingClient(startReadingWorker)
onScopeDispose(() => reading.stop())

const { data: all, loading, load } = usePageData({
  key: () => ['writing styles', projects.current?.id],
  read: (signal) => call(listWritingStyles, { query: projects.current ? { project: projects.current.id } : {}, signal }),
  on: ({ kind }) => kind === 'writing-styles',
})
const learning = ref<string>()
const writing = shallowRef<{ id: string; body: WritingStyleBody; projectId: string | null; isNew: boolean }>()
/** The draft that is to be written in a writing style, when one was brought along. */
const begun = ref<string>()
const id = computed(() => String(route.params['writingStyle'] ?? '') || all.value?.[0]?.id)
const writingStyle = computed(() => all.value?.find((one) => one.id === id.value))
const texts = computed(() => textsIn(learning.value ?? '', MAX_EXAMPLES + 1))

watch(() => route.params['writingStyle'], () => (writing.value = undefined))
useAsked(new Map([['learn', () => (learning.value = '')]]))
if (typeof route.query['from'] === 'string') {
  const { from } = route.query
  void task(async () => (begun.value = (await call(readPrompt, { params: { prompt: from } })).draft.text))
}

/** Proven prompts of the project, as they stand in their drafts. */
const addProven = () =>
  task(async () => {
    const project = projects.current
    const { rows } = await call(searchShelf, { query: { ...(project ? { project: project.id } : {}), status: 'proven', limit: MAX_EXAMPLES } })
    const found = await Promise.all(rows.map(({ id: prompt }) => call(readPrompt, { params: { prompt } })))
    const more = found.map(({ draft }) => draft.text.replace(/\s*\n\s*/g, ' ').trim()).filter(Boolean)
    learning.value = [...textsIn(learning.value ?? '', MAX_EXAMPLES), ...more].filter((text, i, list) => list.indexOf(text) === i).slice(0, MAX_EXAMPLES).join('\n\n')
    if (!more.length) notices.show(`${project?.name ?? 'Idolon'} has no proven prompt yet. Paste some that are good.`)
  })
const learn = () =>
  task(async () => {
    const { writingStyle: found, examples } = await reading.ask('learnWritingStyle', { name: '', texts: texts.value })
    const terms = [...found.always.map(({ text }) => text), ...found.facets.flatMap((one) => one.terms.slice(0, 1))]
    learning.value = undefined
    writing.value = { id: crypto.randomUUID(), body: { ...found, name: (terms[0] ?? 'A writing style').replace(/^\p{L}/u, (letter) => letter.toUpperCase()) }, projectId: projects.current?.id ?? null, isNew: true }
    notices.show(`Learned from ${counted(examples.length, 'example')}. Correct what is not meant, then keep it.`)
  })
const save = (body: WritingStyleBody, projectId: string | null) =>
  task(async () => {
    const { id: which } = writing.value!
    await call(saveWritingStyle, { params: { writingStyle: which }, body: { projectId, body } })
    writing.value = undefined
    await load()
    await router.push(`/shelf/writing-styles/${which}`)
    notices.show(`“${body.name}” is saved.`)
  })
const remove = ({ id: which, body }: WritingStyle) =>
  task(async () => {
    await router.push('/shelf/writing-styles')
    await call(deleteWritingStyle, { params: { writingStyle: which } })
    await load()
    notices.show(`“${body.name}” is in the bin.`, { action: { label: 'Restore', run: () => void task(async () => {
      const entry = (await call(listBin, {})).find((one) => one.kind === 'writing-style' && one.name === body.name)
      if (entry) await call(restoreFromBin, { params: { kind: 'writing-style', id: entry.id } })
      await load()
    }) } })
  })
</script>

<template>
  <main class="page styles">
    <header>
      <h1 class="view-title">Writing styles <span class="scope">{{ projects.current ? `for ${projects.current.name} and for all` : 'for all projects' }}</span></h1>
      <ShelfParts />
      <p v-if="all?.length" class="row-actions"><v-btn @click="(writing = undefined), (learning = '')">Learn another from prompts</v-btn></p>
    </header>
    <div class="columns">
      <nav aria-label="Writing styles">
        <ul>
          <li v-for="one in all" :key="one.id">
            <RouterLink class="choice tall" :to="`/shelf/writing-styles/${one.id}`" :aria-current="one.id === id && !writing && learning === undefined ? 'true' : undefined"><span class="name">{{ one.body.name }}</span><span class="soft">{{ one.body.style === 'list' ? 'a list' : 'sentences' }}, about {{ one.body.words.middle }} words</span></RouterLink>
          </li>
        </ul>
      </nav>
      <form v-if="learning !== undefined" class="learn" @submit.prevent="learn">
        <v-textarea v-model="learning" :label="`${MIN_EXAMPLES} to ${MAX_EXAMPLES} prompts that are written as you want it, with an empty line between them (${Math.min(texts.length, MAX_EXAMPLES)})`" rows="14" maxlength="200000" auto-grow />
        <p v-if="texts.length > MAX_EXAMPLES" class="soft">Only the first {{ MAX_EXAMPLES }} are taken.</p>
        <p class="row-actions">
          <v-btn color="primary" variant="flat" :disabled="texts.length < MIN_EXAMPLES" type="submit">Learn from {{ counted(Math.min(texts.length, MAX_EXAMPLES), 'prompt') }}</v-btn>
          <v-btn @click="addProven">Add the project’s proven prompts</v-btn>
          <v-btn variant="text" @click="learning = undefined">Cancel</v-btn>
        </p>
      </form>
      <WritingStyleEditor v-else-if="writing" :key="writing.id" :body="writing.body" :project-id="writing.projectId" :is-new="writing.isNew" @save="save" @cancel="writing = undefined" />
      <article v-else-if="writingStyle" class="styled">
        <h2 class="titled">{{ writingStyle.body.name }} <span class="soft">{{ writingStyle.projectId ? projects.byId(writingStyle.projectId)?.name : 'for all projects' }}; learned from {{ counted(writingStyle.body.examples.length, 'prompt') }}</span></h2>
        <p class="told">{{ styleInWords(writingStyle.body) }}</p>
        <p class="row-actions">
          <v-btn :prepend-icon="mdiPencilOutline" @click="writing = { id: writingStyle.id, body: writingStyle.body, projectId: writingStyle.projectId, isNew: false }">Edit</v-btn>
          <v-btn @click="learning = writingStyle.body.examples.join('\n\n')">Learn again from its prompts</v-btn>
          <v-btn variant="text" @click="remove(writingStyle)">Delete</v-btn>
        </p>
        <WriteInStyle :key="writingStyle.id + (begun ?? '')" :writing-style="writingStyle" :reading="reading" :begun="begun" />
      </article>
      <v-skeleton-loader v-else-if="loading" type="heading, paragraph@2" />
      <div v-else-if="all">
        <p>No writing style yet. Give {{ MIN_EXAMPLES }} to {{ MAX_EXAMPLES }} prompts that are written as you want it; what they have in common becomes a writing style that any word can be written in.</p>
        <p><v-btn color="primary" variant="flat" @click="learning = ''">Learn one from prompts</v-btn></p>
      </div>
    </div>
  </main>
</template>

<style scoped>
.writingStyles,
header,
.styled,
.learn {
  display: grid;
  gap: 12px;
}
.columns {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 28px;
  align-items: start;
}
.told {
  white-space: pre-line;
  max-width: 860px;
}
</style>
