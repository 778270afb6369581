<script setup lang="ts">
import { type FoundFrame, type PromptSummary, searchShelf } from '@idolon/contract'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { addressOf, VIEWS } from '../app/views.ts'
import { holdKeys } from '../prompts/early-keys.ts'
import { useProjects } from '../stores/projects.ts'
import { type Action, actions } from './actions.ts'
import { vListField } from '../shared/list-field.ts'

interface Target {
  id: string
  name: string
  kind: string
  run: () => void
  /** One writes at once after it. */
  writes?: boolean | undefined
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

const fits = (text: string) => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean)
  const lower = text.toLowerCase()
  return words.every((word) => lower.includes(word))
}

const targets = computed<Target[]>(() => {
  const views = VIEWS.filter((view) => view.goTo && fits(`${view.title} ${view.words ?? ''}`)).map((view) => ({ id: view.path, name: view.title, kind: 'View', run: () => void router.push(addressOf(view)) }))
  const places = projects.open.filter((project) => fits(`${project.name} project`)).map((project) => ({ id: project.id, name: project.name, kind: 'Project', run: () => void router.push(`/projects/${project.id}`) }))
  const doable = actions.value.filter((action: Action) => fits(`${action.name} ${action.words ?? ''}`)).map((action) => ({ id: action.name, name: action.name, kind: 'Action', run: action.run, writes: action.writes }))
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
  // What is typed while the dialog closes is meant for what it leads to.
  if (target.writes) holdKeys()
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
      <v-text-field
        ref="input"
        v-model="typed"
        v-list-field
        aria-expanded="true"
        aria-controls="targets"
        label="Go to a prompt, a view or an action"
        placeholder="heron, trial plan, dark theme"
        :aria-activedescendant="targets.length ? `target-${at}` : undefined"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="choose(targets[at])"
      />
      <v-list id="targets" class="flush" role="listbox" aria-label="Places and actions" bg-color="transparent">
        <v-list-item v-for="(target, i) in targets" :id="`target-${i}`" :key="target.kind + target.id" role="option" tabindex="-1" :aria-selected="i === at" :class="{ at: i === at }" :title="target.name" @mousemove="at = i" @click="choose(target)">
          <template #append><span class="soft">{{ target.kind }}</span></template>
        </v-list-item>
      </v-list>
      <p v-if="targets.length === 0 && !searching" class="soft">Nothing is called that. Try fewer words, or other ones.</p>
    </div>
  </v-dialog>
</template>

<style scoped>
.goto {
  padding: 18px 16px 12px;
}
.v-list {
  margin-top: 6px;
  padding: 0;
  max-height: 52vh;
}
.at {
  background: var(--wash);
  box-shadow: inset 3px 0 var(--accent);
}
</style>
