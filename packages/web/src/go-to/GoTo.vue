<script setup lang="ts">
import { type FoundFrame, type PromptSummary, searchShelf } from '@idolon/contract'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useProjects } from '../stores/projects.ts'
import { type Action, actions } from './actions.ts'

interface Target {
  id: string
  name: string
  kind: string
  run: () => void
}

const open = defineModel<boolean>({ required: true })
const router = useRouter()
const projects = useProjects()
const typed = ref('')
// What was found, and for which words: results of other words are never offered, so that Enter is safe at any moment.
const found = ref<{ words: string; rows: PromptSummary[]; frames: FoundFrame[] }>({ words: '', rows: [], frames: [] })
const at = ref(0)
const input = ref<HTMLInputElement>()
const searching = ref(false)

const VIEWS = [
  { name: 'Begin', path: '/', words: 'home start new' },
  { name: 'Desk', path: '/desk', words: 'editor write draft' },
  { name: 'Proofs', path: '/proofs', words: 'results images pictures gallery batch runs' },
  { name: 'Shelf', path: '/shelf', words: 'library prompts search collection' },
  { name: 'Import prompts', path: '/shelf/in', words: 'import csv json markdown upload bundle folder' },
  { name: 'References', path: '/references', words: 'picture image caption describe palette measure' },
  { name: 'Proof sheet', path: '/proofs/sheet', words: 'grid contact compare select' },
  { name: 'Bin', path: '/bin', words: 'trash deleted restore undelete' },
  { name: 'Glossary', path: '/glossary', words: 'vocabulary terms words style' },
  { name: 'Engines', path: '/engines', words: 'models generators profiles settings' },
]

const fits = (text: string) => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  const lower = text.toLowerCase()
  return words.every((word) => lower.includes(word))
}

const targets = computed<Target[]>(() => {
  const views = VIEWS.filter((view) => fits(`${view.name} ${view.words}`)).map((view) => ({ id: view.path, name: view.name, kind: 'View', run: () => void router.push(view.path) }))
  const places = projects.open.filter((project) => fits(`${project.name} project`)).map((project) => ({ id: project.id, name: project.name, kind: 'Project', run: () => void router.push(`/projects/${project.id}`) }))
  const doable = actions.value.filter((action: Action) => fits(`${action.name} ${action.words ?? ''}`)).map((action) => ({ id: action.name, name: action.name, kind: 'Action', run: action.run }))
  const prompts = (found.value.words === typed.value ? found.value.rows : []).map((prompt) => ({ id: prompt.id, name: prompt.title, kind: projects.byId(prompt.projectId)?.name ?? 'Prompt', run: () => void router.push(`/desk/${prompt.id}`) }))
  const frames = (found.value.words === typed.value ? found.value.frames : []).map(({ kind, id, name }) => ({ id, name, kind: kind === 'template' ? 'Template' : 'Writing style', run: () => void router.push(kind === 'template' ? `/shelf/templates/${id}` : `/shelf/writing-styles/${id}`) }))
  // What is called so comes before what is only meant by the words.
  const asked = typed.value.trim().toLowerCase()
  const called = ({ name }: Target) => {
    const lower = name.toLowerCase()
    return lower === asked ? 0 : lower.startsWith(asked) ? 1 : lower.includes(asked) ? 2 : 3
  }
  return [...[...views, ...doable].sort((a, b) => called(a) - called(b)), ...prompts, ...frames, ...places]
})

let newest = 0
async function search(): Promise<void> {
  const mine = ++newest
  const words = typed.value
  searching.value = true
  const answer = await call(searchShelf, { query: { q: words.slice(0, 500), limit: 8, each: true } }).catch(() => undefined)
  if (mine !== newest) return
  searching.value = false
  found.value = { words, rows: answer?.rows ?? [], frames: answer?.frames ?? [] }
}

watch(typed, () => {
  at.value = 0
  void search()
})
const GIVEN_BACK_MS = 80
let givenBack: ReturnType<typeof setTimeout> | undefined
onScopeDispose(() => { clearTimeout(givenBack) })
watch(open, (now) => {
  if (!now) return
  typed.value = ''
  at.value = 0
  input.value?.focus()
  // Opened again while it was closing, it gives the focus back to the page once more after this.
  clearTimeout(givenBack)
  givenBack = setTimeout(() => {
    if (open.value && document.activeElement !== input.value) input.value?.focus()
  }, GIVEN_BACK_MS)
  void search()
})
// The field is made with the dialog, in the same turn as the key that opened it: no key typed after that goes elsewhere.
watch(input, (field) => field?.focus())

// A dialog that closes has a say in where the focus goes; what was chosen comes after it.
let chosen: Target | undefined
function choose(target: Target | undefined): void {
  if (!target) return
  chosen = target
  open.value = false
}

function closed(): void {
  chosen?.run()
  chosen = undefined
}

function move(by: number): void {
  at.value = Math.max(0, Math.min(targets.value.length - 1, at.value + by))
  document.getElementById(`target-${at.value}`)?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <v-dialog v-model="open" :transition="false" max-width="620" aria-label="Go to" @after-leave="closed">
    <div class="dialog goto">
      <v-text-field label="Go to a prompt, a view or an action" ref="input" v-model="typed" role="combobox" aria-expanded="true" aria-controls="targets" :aria-activedescendant="targets.length ? `target-${at}` : undefined" placeholder="A prompt, a view or an action" @keydown.down.prevent="move(1)" @keydown.up.prevent="move(-1)" @keydown.enter.prevent="choose(targets[at])" />
      <ul id="targets" role="listbox" aria-label="Places and actions">
        <li v-for="(target, i) in targets" :id="`target-${i}`" :key="target.kind + target.id" role="option" :aria-selected="i === at" @mousemove="at = i" @click="choose(target)">
          <span>{{ target.name }}</span><span class="soft">{{ target.kind }}</span>
        </li>
      </ul>
      <p v-if="targets.length === 0 && !searching" class="soft">Nothing is called that. Try fewer words, or other ones.</p>
    </div>
  </v-dialog>
</template>

<style scoped>
.goto {
  padding: 16px;
}
.goto input {
  width: 100%;
  padding: 9px 12px;
  font-size: 16px;
}
ul {
  margin-top: 10px;
  max-height: 52vh;
  overflow: auto;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding: 6px 12px;
  cursor: pointer;
}
li > span:first-child {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li > span:last-child {
  flex: none;
}
li[aria-selected='true'] {
  background: var(--wash);
  box-shadow: inset 3px 0 var(--accent);
}
</style>
