<script setup lang="ts">
import { changePrompts, type FoundPrompt, mergePrompts, readPrompt, saySame, type Status, type TagCount } from '@idolon/contract'
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { giveTexts } from '../templates/texts-to-learn.ts'
import { STATUSES } from './shelf-query.ts'
import { mdiCallMerge, mdiDeleteOutline, mdiExport, mdiFolderMoveOutline, mdiFormTextbox, mdiLinkVariant, mdiProgressCheck, mdiTagOff } from '@mdi/js'
import type { Act } from '../shared/act.ts'
import ActsMenu from '../shared/ActsMenu.vue'
import ChoiceMenu from '../shared/ChoiceMenu.vue'

/** What can be done with many prompts at once. */
const props = defineProps<{ chosen: FoundPrompt[]; tags: TagCount[]; rows: FoundPrompt[] }>()
const emit = defineEmits<{ none: []; all: [] }>()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const tag = ref<string | null>('')
const ids = computed(() => props.chosen.map(({ id }) => id))
/** Tags that some of the chosen have: offered to be taken off. */
const theirs = computed(() => [...new Set(props.chosen.flatMap(({ tags }) => tags))].sort())
const SUGGESTED = 5
/** Tags that their neighbours in this search have and they have not, and that stand in their words. */
const suggested = computed(() => {
  const words = props.chosen.map(({ title, excerpt }) => `${title} ${excerpt}`.toLowerCase())
  const near = new Map<string, number>()
  for (const { id, tags } of props.rows) if (!ids.value.includes(id)) for (const one of tags) near.set(one, (near.get(one) ?? 0) + 1)
  const inWords = props.tags.filter(({ tag: one }) => words.every((text) => text.includes(one.toLowerCase()))).map(({ tag: one }) => one)
  return [...new Set([...inWords, ...[...near].sort((x, y) => y[1] - x[1]).map(([one]) => one)])].filter((one) => !props.chosen.every(({ tags }) => tags.includes(one))).slice(0, SUGGESTED)
})

const change = (body: { addTags?: string[]; removeTags?: string[]; status?: Status; project?: string; deleted?: boolean }, said: string, undo?: () => void) =>
  task(async () => {
    const { changed } = await call(changePrompts, { body: { prompts: ids.value, ...body } })
    notices.show(`${said} ${counted(changed, 'prompt')}.`, undo ? { action: { label: 'Undo', run: undo } } : {})
  })
function addTag(one: string): void {
  const clean = one.replace(/[,\n]/g, ' ').trim().slice(0, 60)
  if (clean) void change({ addTags: [clean] }, `Tagged “${clean}”:`)
  tag.value = ''
}
/** The library takes what was typed for chosen at the same key, and sends no form for it. */
const entered = () => void nextTick(() => addTag(tag.value ?? ''))
function bin(): void {
  const prompts = ids.value
  void change({ deleted: true }, 'In the bin:', () => void task(() => call(changePrompts, { body: { prompts, deleted: false } }))).then(() => emit('none'))
}
const others = (id: string) => ids.value.filter((one) => one !== id)
const same = () =>
  task(async () => {
    const [first] = ids.value
    await call(saySame, { params: { prompt: first! }, body: { prompts: others(first!), as: 'same' } })
    notices.show(`${counted(ids.value.length, 'prompt')} are linked as the same.`)
    emit('none')
  })
const mergeInto = (into: string) =>
  task(async () => {
    await call(mergePrompts, { params: { prompt: into }, body: { prompts: others(into) } })
    notices.show(`Merged into “${props.chosen.find(({ id }) => id === into)?.title ?? ''}”. Its evidence lists them, and separates them again.`)
    emit('none')
  })
/** Ids that an address holds. */
const MOST_CHOSEN = 200
const MOST_LEARNED = 50
const learn = () =>
  task(async () => {
    const prompts = await Promise.all(ids.value.slice(0, MOST_LEARNED).map((prompt) => call(readPrompt, { params: { prompt } })))
    giveTexts({ learn: prompts.map(({ draft }) => draft.text.replace(/\s*\n\s*/g, ' ').trim()) })
    await router.push('/shelf/templates')
  })
const MOST_JOINED = 50
const canJoin = computed(() => props.chosen.length > 1 && props.chosen.length <= MOST_JOINED)
const choices = (list: readonly string[]) => list.map((value) => ({ title: value, value }))
const acts = computed((): Act[] => [
  { name: props.chosen.length === 1 ? 'Make a template of it' : 'Learn a template', icon: mdiFormTextbox, disabled: props.chosen.length > MOST_LEARNED, run: () => void learn() },
  ...(canJoin.value ? [{ name: 'They are the same', says: 'Links them, without merging', icon: mdiLinkVariant, run: () => void same() }] : []),
  ...(props.chosen.length <= MOST_CHOSEN ? [{ name: 'Export as a bundle', icon: mdiExport, href: `/api/shelf.bundle.zip?ids=${ids.value.join(',')}` }] : []),
  { name: `Delete ${counted(props.chosen.length, 'prompt')}`, says: 'They go to the bin', icon: mdiDeleteOutline, last: true, run: bin },
])
</script>

<template>
  <footer class="many">
    <div class="row-actions">
      <strong>{{ counted(chosen.length, 'prompt') }}</strong>
      <form @submit.prevent="addTag(tag ?? '')"><v-combobox v-model="tag" :items="tags.map((one) => one.tag)" label="Tag to add" placeholder="lantern" maxlength="60" hide-no-data @keydown.enter="entered" /></form>
      <ChoiceMenu v-if="theirs.length" label="Remove a tag" :icon="mdiTagOff" :items="choices(theirs)" @choose="change({ removeTags: [$event] }, 'Removed:')" />
      <ChoiceMenu label="Set status" :icon="mdiProgressCheck" :items="choices(STATUSES)" @choose="change({ status: $event as Status }, 'Status set for')" />
      <ChoiceMenu label="Move to a project" :icon="mdiFolderMoveOutline" :items="projects.open.map((project) => ({ title: project.name, value: project.id }))" @choose="change({ project: $event }, 'Moved:')" />
      <ChoiceMenu v-if="canJoin" label="Merge into" :icon="mdiCallMerge" :items="chosen.map((prompt) => ({ title: prompt.title, value: prompt.id }))" @choose="mergeInto" />
      <ActsMenu label="More with these" variant="text" :acts="acts" />
      <v-btn variant="text" class="end" @click="emit('all')">Select all shown</v-btn>
      <v-btn variant="text" @click="emit('none')">Select none</v-btn>
    </div>
    <p v-if="suggested.length" class="soft">Fitting tags: <template v-for="(one, i) in suggested" :key="one"><template v-if="i">, </template><v-btn variant="text" @click="addTag(one)">{{ one }}</v-btn></template></p>
  </footer>
</template>

<style scoped>
.many {
  position: sticky;
  bottom: 0;
  display: grid;
  gap: 4px;
  padding: 10px 28px;
  margin: 0 -28px;
  border-top: 1px solid var(--rule);
  background: var(--sheet);
}
.many .row-actions {
  gap: 10px;
}
form {
  width: 150px;
}
.end {
  margin-left: auto;
}
</style>
