<script setup lang="ts">
import { addReference, changeReference, deleteReference, listReferences, restoreFromBin, readReference, listBin, type Reference } from '@idolon/contract'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { messageOf } from '../api/problem.ts'
import NotFoundView from '../app/NotFoundView.vue'
import { useNotices, useTask } from '../notices/notices.ts'
import { useIncomingPictures } from '../proofs/incoming-pictures.ts'
import { uploadPicture } from '../proofs/upload.ts'
import { counted } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { useProjects } from '../stores/projects.ts'
import { evidenceOf } from './evidence.ts'
import { factWords } from './fact-words.ts'
import { oklchWords } from './oklch-words.ts'
import ClosingIn from './ClosingIn.vue'
import ReadingPhrases from './ReadingPhrases.vue'
import ReferenceNotes from './ReferenceNotes.vue'
import PictureEvidence from './PictureEvidence.vue'
import TogetherPanel from './TogetherPanel.vue'
import { mdiImport } from '@mdi/js'

/** Pictures to learn from: each with what was read of it drawn over it, and the phrases it suggests. */
const route = useRoute()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
void useEngines().load()

const { data: all, loading, load } = usePageData({
  key: () => projects.current && ['references', projects.current.id],
  read: (signal) => call(listReferences, { query: { project: projects.current!.id }, signal }),
  on: ({ kind }) => kind === 'reference',
})
const shown = ref<string>()
const busy = ref(0)
const id = computed(() => String(route.params['reference'] ?? '') || all.value?.[0]?.id)
const { data: whole, missing, put } = usePageData({
  key: () => (id.value ? ['reference', id.value] : undefined),
  read: (signal) => call(readReference, { params: { reference: id.value! }, signal }),
  on: (event) => event.kind === 'reference' && event.referenceId === id.value,
  tells: true,
})

watch(() => whole.value?.reference.projectId, (project) => {
  // One that is opened by its address may be another project's: the list beside it is then that one's.
  if (project && project !== projects.current?.id) projects.chosen = project
})
watch(id, () => (shown.value = undefined))

const take = (files: readonly File[]) =>
  task(async () => {
    const project = await projects.currentOrFirst()
    let last: Reference | undefined
    let known = 0
    busy.value += files.length
    for (const file of files) {
      try {
        const { sha256 } = await uploadPicture(file)
        const fresh = crypto.randomUUID()
        last = await call(addReference, { body: { id: fresh, projectId: project.id, picture: { sha256 }, name: file.name.replace(/\.\w+$/, '').replace(/[_-]+/g, ' ').slice(0, 200), source: '', rights: 'unknown', note: '' } })
        if (last.id !== fresh) known++
      } catch (error) {
        notices.show(`${file.name}: ${messageOf(error)}`, { problem: true })
      } finally {
        busy.value--
      }
    }
    if (known) notices.show(`${counted(known, 'picture was', 'pictures were')} here already.`)
    if (!last) return
    await load()
    await router.push(`/references/${last.id}`)
  })
const { over, drop, pick } = useIncomingPictures(take)
const change = (texts: Partial<Pick<Reference, 'name' | 'source' | 'rights' | 'note'>>) =>
  task(async () => {
    if (!whole.value) return
    const reference = await call(changeReference, { params: { reference: whole.value.reference.id }, body: texts })
    put({ ...whole.value, reference })
    await load()
  })
const remove = ({ id: which, name, picture }: Reference) =>
  task(async () => {
    await call(deleteReference, { params: { reference: which } })
    await load()
    await router.push('/references')
    const undo = async () => {
      const entry = (await call(listBin, {})).find((one) => one.kind === 'reference' && one.picture === picture.sha256)
      if (entry) await call(restoreFromBin, { params: { kind: 'reference', id: entry.id } })
      await router.push(`/references/${which}`)
    }
    notices.show(`“${name || 'The reference'}” lies in the bin.`, { action: { label: 'Restore', run: () => void task(undo) } })
  })

/** Several pictures at once, for what they share. */
const several = ref(false)
const marked = ref<string[]>([])

const STAGES = { asked: 'waiting to be read', glance: 'its colours are read', measured: 'measured; things and lettering are looked for', read: '', failed: 'could not be read' } as const
const facts = computed(() => (whole.value ? factWords(whole.value) : []))
const evidence = computed(() => (whole.value && shown.value ? evidenceOf(shown.value, whole.value.facts, whole.value.reading) : undefined))
const show = (fact: string) => (shown.value = shown.value === fact ? undefined : fact)
</script>

<template>
  <NotFoundView v-if="missing" what="reference" />
  <main v-else class="page" :class="{ over }" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="drop">
    <h1 class="view-title">References <span class="scope">of {{ projects.current?.name ?? 'no project yet' }}</span></h1>
    <div class="finding">
      <v-btn color="primary" variant="flat" :prepend-icon="mdiImport" @click="pick()">Import pictures</v-btn>
      <v-btn v-if="(all?.length ?? 0) > 1" :aria-pressed="several" @click="several = !several">{{ several ? 'Read one by one' : 'Read several together' }}</v-btn>
      <span class="soft" role="status">{{ busy ? `${counted(busy, 'picture')} on the way …` : 'or drop them here, or paste them' }}</span>
    </div>
    <v-skeleton-loader v-if="loading" type="image@2" class="coming" />
    <p v-else-if="all?.length === 0" class="soft">No picture here yet. Import one whose light, framing or colours you want the words for; from a proof, press “Keep as a reference” beside it.</p>
    <div v-else-if="all" class="columns">
      <ul aria-label="References" class="strip">
        <li v-for="one in all" :key="one.id">
          <v-checkbox v-if="several" v-model="marked" :value="one.id" class="choice with"><template #label><img :src="`/api/pictures/${one.picture.sha256}/small`" alt="" loading="lazy" /><span class="name">{{ one.name || 'without a name' }}</span></template></v-checkbox>
          <RouterLink v-else class="choice" :to="`/references/${one.id}`" :aria-current="one.id === id ? 'true' : undefined">
            <img :src="`/api/pictures/${one.picture.sha256}/small`" alt="" loading="lazy" />
            <span><span class="name">{{ one.name || 'without a name' }}</span><span v-if="STAGES[one.stage]" class="soft stage">{{ STAGES[one.stage] }}</span></span>
          </RouterLink>
        </li>
      </ul>
      <TogetherPanel v-if="several" :references="all.filter((one) => marked.includes(one.id))" />
      <article v-else-if="whole" :key="whole.reference.id" class="one">
        <div class="left">
          <PictureEvidence :picture="whole.reference.picture" :name="whole.reference.name || 'the reference'" :evidence="evidence" hint="Press a phrase or a fact to see what bears it out." />
          <ul v-if="whole.facts?.palette.length" class="palette" aria-label="Palette">
            <li v-for="(colour, i) in whole.facts.palette" :key="colour.hex" :style="{ flexGrow: colour.share }">
              <v-btn v-tooltip="`${colour.name}, ${Math.round(colour.share * 100)} %, ${oklchWords(colour.hex)}; press to see where`" variant="text" :aria-pressed="shown === `colour ${i}`" class="colour lines" @click="show(`colour ${i}`)"><span class="swatch" :style="{ background: colour.hex }"></span><span class="colour-name">{{ colour.name }}</span></v-btn>
            </li>
          </ul>
          <p v-if="whole.reference.problem" class="problem">{{ whole.reference.problem }}</p>
          <ClosingIn :reference="whole.reference" :reading="whole.reading" />
          <ReferenceNotes :whole="whole" @change="change" />
          <p class="row-actions"><v-btn variant="text" @click="remove(whole.reference)">Delete</v-btn></p>
        </div>
        <div class="right">
          <p v-if="STAGES[whole.reference.stage]" class="soft" role="status">{{ STAGES[whole.reference.stage] }} …</p>
          <ReadingPhrases :whole="whole" :shown="shown" @show="show" />
          <section aria-labelledby="facts-title">
            <h2 id="facts-title">Measured</h2>
            <dl class="facts">
              <template v-for="{ fact, name, says } in facts" :key="fact">
                <dt class="soft">{{ name }}</dt>
                <dd><v-btn v-if="says" variant="text" class="lines" :aria-pressed="shown === fact" @click="show(fact)">{{ says }}</v-btn><span v-else class="soft">{{ whole.reference.stage === 'read' ? 'not settled' : '…' }}</span></dd>
              </template>
            </dl>
          </section>
        </div>
      </article>
    </div>
  </main>
</template>

<style scoped>
.over {
  outline: 2px solid var(--accent);
  outline-offset: -6px;
}
.coming {
  max-width: 420px;
}
.columns {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 26px;
  align-items: start;
}
.strip {
  max-height: calc(100vh - 150px);
  overflow: auto;
}
.choice {
  align-items: center;
}
.choice img {
  flex: none;
  width: 56px;
  height: 42px;
  object-fit: cover;
}
.choice .name,
.stage {
  display: block;
  overflow-wrap: anywhere;
}
.choice .name {
  font-size: 14.5px;
  line-height: 1.25;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 11fr) minmax(340px, 10fr);
  gap: 26px;
  align-items: start;
}
.left,
.right {
  display: grid;
  gap: 14px;
  min-width: 0;
}
.palette {
  display: flex;
  gap: 2px;
}
.palette li {
  min-width: 30px;
  overflow: hidden;
  flex-basis: 0;
}
.swatch {
  display: block;
  height: 22px;
}
.colour {
  display: block;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.colour[aria-pressed='true'] .swatch {
  outline: 2px solid var(--accent);
}
.colour-name {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 11.5px;
  color: var(--soft);
}
.facts {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 3px 16px;
  margin: 6px 0 0;
  font-size: 13.5px;
}
.facts dd {
  margin: 0;
}
.problem {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
</style>
