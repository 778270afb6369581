<script setup lang="ts">
import { type ChangeEvent, listWritingStyles, type PromptSummary, searchShelf } from '@idolon/contract'
import { computed, nextTick, ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import ReuseDialog from '../desk/ReuseDialog.vue'
import { useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import { useAsked } from '../shared/asked.ts'
import PromptRow from '../shared/PromptRow.vue'
import BeginFromIdea from './BeginFromIdea.vue'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { needed } from '../shared/field-rules.ts'

const EXAMPLE = 'An old beekeeper in a waxed canvas coat lifts a frame from a straw hive, terraced apiary above an alpine village, dawn in late autumn, medium shot, soft light from the left, muted ochre and slate, gouache illustration'

const projects = useProjects()
const task = useTask()
const { fromNothing, fromText } = useNewPrompt()

const name = ref('')
const naming = ref(false)
const nameField = ref<HTMLInputElement>()
const reusing = ref<PromptSummary>()
const reuseOpen = ref(false)

const ofPrompts = ({ kind }: ChangeEvent) => kind === 'prompt'
const { data: last, loading } = usePageData({ key: () => ['last prompts'], read: (signal) => call(searchShelf, { query: { limit: 5, each: true }, signal }), on: ofPrompts })
const { data: kept } = usePageData({ key: () => ['proven prompts'], read: (signal) => call(searchShelf, { query: { status: 'proven', limit: 6 }, signal }), on: ofPrompts })
const { data: ways } = usePageData({ key: () => ['writing styles', projects.current?.id], read: (signal) => call(listWritingStyles, { query: projects.current ? { project: projects.current.id } : {}, signal }), on: ({ kind }) => kind === 'writing-styles' })
const recent = computed(() => last.value?.rows)
const proven = computed(() => kept.value?.rows ?? [])
const writingStyles = computed(() => ways.value ?? [])

async function startNaming(): Promise<void> {
  naming.value = true
  await nextTick()
  nameField.value?.focus()
}
useAsked(new Map([['project', startNaming]]))

const makeProject = () =>
  task(async () => {
    await projects.create(name.value.trim())
    name.value = ''
    naming.value = false
  })
const fromExample = async () => {
  const project = await task(() => projects.currentOrFirst())
  if (project) await fromText(project.id, EXAMPLE)
}
const empty = computed(() => recent.value?.length === 0)
</script>

<template>
  <main class="page begin">
    <section class="ways" aria-labelledby="ways-title">
      <h1 id="ways-title">Begin</h1>
      <ul>
        <li>
          <h2><v-btn color="primary" variant="flat" @click="fromNothing">New prompt</v-btn></h2>
          <p class="soft">An empty sheet in {{ projects.current?.name ?? 'a first project' }}. Write what the picture shows; everything is kept as you type.</p>
        </li>
        <li v-if="projects.current">
          <h2>From an idea</h2>
          <BeginFromIdea :key="projects.current.id" :project-id="projects.current.id" />
        </li>
        <li>
          <h2>From a proven prompt</h2>
          <p v-if="proven.length === 0" class="soft">None yet. A prompt whose status is “proven” can be taken up again from here, with its engine and settings.</p>
          <ul v-else class="proven">
            <li v-for="prompt in proven" :key="prompt.id">
              <v-btn variant="text" class="take lines" @click="(reusing = prompt), (reuseOpen = true)"><img v-if="prompt.bestProof?.picture" :src="`/api/pictures/${prompt.bestProof.picture.sha256}/thumbnail`" alt="" /><span v-else class="none" /><span><strong>{{ prompt.title }}</strong><br /><span class="soft">{{ projects.byId(prompt.projectId)?.name }}, {{ prompt.keepers ? `${prompt.keepers} of ${counted(prompt.proofs, 'proof')} kept` : 'without a keeper' }}</span></span></v-btn>
            </li>
          </ul>
        </li>
        <li>
          <h2>From a template or in a writing style</h2>
          <p class="soft"><RouterLink to="/shelf/templates">Choose a template and fill it</RouterLink>, one draft or many at once; or <RouterLink to="/shelf/templates?do=learn">learn one</RouterLink> from prompts you have. In a writing style: <template v-for="one in writingStyles.slice(0, 3)" :key="one.id"><RouterLink :to="`/shelf/writing-styles/${one.id}`">{{ one.body.name }}</RouterLink>, </template><RouterLink to="/shelf/writing-styles?do=learn">{{ writingStyles.length ? 'learn another' : 'learn one from prompts you like' }}</RouterLink>.</p>
        </li>
        <li>
          <h2>From a story</h2>
          <p class="soft"><RouterLink to="/series?do=new">Tell it</RouterLink>, two lines or many pages: it is split into scenes with the same people, places and look, each with a prompt of its own.</p>
        </li>
        <li>
          <h2>From an example</h2>
          <p class="soft"><v-btn variant="text" @click="fromExample">Put a written prompt on the desk</v-btn> and change it: a beekeeper at dawn.</p>
        </li>
        <li>
          <h2>A new project</h2>
          <form v-if="naming" class="row-actions" @submit.prevent="makeProject">
            <v-text-field ref="nameField" v-model="name" label="Name of the project" placeholder="Name" maxlength="120" :rules="[needed]" @keydown.escape="naming = false" />
            <v-btn type="submit" :disabled="!name.trim()">Create it</v-btn>
          </form>
          <p v-else class="soft"><v-btn variant="text" @click="startNaming">Name one</v-btn> for a body of work with its own prompts and pictures.</p>
        </li>
      </ul>
    </section>
    <section class="last" aria-labelledby="last-title">
      <h2 id="last-title">What you were last doing</h2>
      <v-skeleton-loader v-if="loading" type="list-item-two-line@4" />
      <p v-else-if="empty" class="soft">Nothing yet. Begin with a new prompt, or with the example.</p>
      <PromptRow v-for="prompt in recent" :key="prompt.id" :prompt="prompt" :to="`/desk/${prompt.id}`" />
      <RouterLink v-if="!empty" class="all" to="/shelf">All prompts, on the Shelf</RouterLink>
    </section>
    <ReuseDialog v-if="reusing" v-model="reuseOpen" :prompt-id="reusing.id" :title="reusing.title" />
  </main>
</template>

<style scoped>
.begin {
  display: grid;
  grid-template-columns: minmax(300px, 380px) minmax(0, 1fr);
  gap: 48px;
  align-items: start;
}
.ways > ul {
  display: grid;
  gap: 24px;
  margin-top: 18px;
}
h1 {
  font-family: var(--serif);
  font-size: 30px;
}
.ways h2 {
  margin-bottom: 8px;
}
.proven {
  display: grid;
}
.take {
  display: grid;
  grid-template-columns: 60px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 6px 0;
  border: 0;
  border-top: 1px solid var(--rule);
  background: none;
  text-align: left;
  cursor: pointer;
}
.take strong {
  font-family: var(--serif);
  font-size: 15.5px;
}
.take:hover strong {
  text-decoration: underline;
}
.take img,
.none {
  width: 60px;
  height: 42px;
  object-fit: cover;
  background: var(--wash);
}
.last {
  padding-top: 8px;
}
.last h2 {
  margin-bottom: 10px;
}
.all {
  display: inline-block;
  margin-top: 14px;
}
</style>
