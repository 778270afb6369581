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
    notices.show(`Merged into “${props.chosen.find(({ id }) => id === into)?.title ?? ''}”. Its evidence lists them, and takes them out again.`)
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
      <form @submit.prevent="addTag(tag)"><input v-model="tag" class="field" list="all-tags" aria-label="Tag to add" placeholder="add a tag" maxlength="60" /><datalist id="all-tags"><option v-for="one in tags" :key="one.tag" :value="one.tag" /></datalist></form>
      <select v-if="theirs.length" class="field" aria-label="Take a tag off" @change="change({ removeTags: [($event.target as HTMLSelectElement).value] }, 'Taken off:'), (($event.target as HTMLSelectElement).value = '')"><option value="">take a tag off</option><option v-for="one in theirs" :key="one">{{ one }}</option></select>
      <select class="field" aria-label="Status for all" @change="change({ status: ($event.target as HTMLSelectElement).value as Status }, 'Status set for'), (($event.target as HTMLSelectElement).value = '')"><option value="">set status</option><option v-for="status in STATUSES" :key="status">{{ status }}</option></select>
      <select class="field" aria-label="Move to a project" @change="change({ project: ($event.target as HTMLSelectElement).value }, 'Moved:'), (($event.target as HTMLSelectElement).value = '')"><option value="">move to a project</option><option v-for="project in projects.open" :key="project.id" :value="project.id">{{ project.name }}</option></select>
      <button class="quiet" :disabled="chosen.length > MOST_LEARNED" @click="learn">{{ chosen.length === 1 ? 'Take it apart into a template' : 'Learn a template' }}</button>
      <a v-if="chosen.length <= MOST_CHOSEN" class="plain" :href="`/api/shelf.bundle.zip?ids=${ids.join(',')}`" download>Take out as a bundle</a>
      <template v-if="chosen.length > 1 && chosen.length <= 50">
        <button class="plain" @click="same">They are the same</button>
        <select class="field" aria-label="Merge them into one" @change="mergeInto(($event.target as HTMLSelectElement).value), (($event.target as HTMLSelectElement).value = '')"><option value="">merge them into</option><option v-for="prompt in chosen" :key="prompt.id" :value="prompt.id">{{ prompt.title }}</option></select>
      </template>
      <button class="plain" @click="bin">Delete</button>
      <button class="plain end" @click="emit('all')">Select all shown</button>
      <button class="plain" @click="emit('none')">Select none</button>
    </div>
    <p v-if="suggested.length" class="soft">Fitting tags: <template v-for="(one, i) in suggested" :key="one"><template v-if="i">, </template><button class="plain" @click="addTag(one)">{{ one }}</button></template></p>
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
