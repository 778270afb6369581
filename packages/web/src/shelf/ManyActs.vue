<script setup lang="ts">
import { changePrompts, type FoundPrompt, mergePrompts, readPrompt, saySame, type Status, type TagCount } from '@idolon/contract'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { giveTexts } from '../templates/texts-to-learn.ts'
import { STATUSES } from './shelf-query.ts'

/** What can be done with many prompts at once. */
const props = defineProps<{ chosen: FoundPrompt[]; tags: TagCount[]; rows: FoundPrompt[] }>()
const emit = defineEmits<{ none: []; all: [] }>()
const router = useRouter()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const tag = ref('')
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
</script>

<template>
  <footer class="many">
    <div class="row-actions">
      <strong>{{ counted(chosen.length, 'prompt') }}</strong>
      <form @submit.prevent="addTag(tag)"><v-combobox v-model="tag" :items="tags.map((one) => one.tag)" label="Tag to add" placeholder="lantern" maxlength="60" hide-no-data /></form>
      <v-select label="Remove a tag" v-if="theirs.length" @update:model-value="change({ removeTags: [$event] }, 'Removed:'), ($event = '')" :items="[{ title: 'remove a tag', value: '' }, ...theirs]" />
      <v-select label="Status for all" @update:model-value="change({ status: $event as Status }, 'Status set for'), ($event = '')" :items="[{ title: 'set status', value: '' }, ...STATUSES]" />
      <v-select label="Move to a project" @update:model-value="change({ project: $event }, 'Moved:'), ($event = '')" :items="[{ title: 'move to a project', value: '' }, ...projects.open.map((project) => ({ title: project.name, value: project.id }))]" />
      <v-btn :disabled="chosen.length > MOST_LEARNED" @click="learn">{{ chosen.length === 1 ? 'Make a template of it' : 'Learn a template' }}</v-btn>
      <a v-if="chosen.length <= MOST_CHOSEN" class="plain" :href="`/api/shelf.bundle.zip?ids=${ids.join(',')}`" download>Export as a bundle</a>
      <template v-if="chosen.length > 1 && chosen.length <= 50">
        <v-btn variant="text" @click="same">They are the same</v-btn>
        <v-select label="Merge them into one" @update:model-value="mergeInto($event), ($event = '')" :items="[{ title: 'merge them into', value: '' }, ...chosen.map((prompt) => ({ title: prompt.title, value: prompt.id }))]" />
      </template>
      <v-btn variant="text" @click="bin">Delete</v-btn>
      <v-btn variant="text" @click="emit('all')" class="end">Select all shown</v-btn>
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
.many select {
  max-width: 150px;
}
.many .row-actions {
  gap: 10px;
}
form .field {
  width: 110px;
}
.end {
  margin-left: auto;
}
</style>
