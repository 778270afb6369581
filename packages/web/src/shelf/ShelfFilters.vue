<script setup lang="ts">
import { listParts, listTemplates, type TagCount } from '@idolon/contract'
import { PART_KINDS } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useEngines } from '../stores/engines.ts'
import { useProjects } from '../stores/projects.ts'
import { type SearchName, STATUSES } from './shelf-query.ts'
import DayField from '../shared/DayField.vue'
import NumberField from '../shared/NumberField.vue'
import { mdiFilterVariant } from '@mdi/js'

/** What is looked for: words, and what prompts are held to beside; the less used stand behind one word until they are set. */
const props = defineProps<{ text: (name: SearchName) => string; tags: TagCount[] }>()
const emit = defineEmits<{ set: [name: SearchName, value: string] }>()
const projects = useProjects()
const engines = useEngines()
void engines.load()
const COLOURS = ['red', 'orange', 'yellow', 'green', 'blue', 'purple', 'pink', 'brown', 'beige', 'grey', 'black', 'white']
const MORE: readonly SearchName[] = ['engine', 'kept', 'tried', 'colour', 'template', 'part', 'since', 'until']
const open = ref(false)
const shown = computed(() => open.value || MORE.some((name) => props.text(name)))
const { data: templates } = usePageData({ key: () => (shown.value ? ['all templates'] : undefined), read: (signal) => call(listTemplates, { query: {}, signal }), on: ({ kind }) => kind === 'templates' })
/** Of the project that is looked in, or of all. */
const within = computed(() => (props.text('project') ? [props.text('project')] : projects.all.map(({ id }) => id)))
const { data: parts } = usePageData({
  key: () => (shown.value ? ['parts of', ...within.value] : undefined),
  read: async (signal) => (await Promise.all(within.value.map((id) => call(listParts, { query: { project: id }, signal })))).flat(),
  on: ({ kind }) => kind === 'parts',
  keepBefore: true,
})
const q = ref<string | null>(props.text('q'))
let typing: ReturnType<typeof setTimeout> | undefined
watch(q, (now) => {
  clearTimeout(typing)
  typing = setTimeout(() => emit('set', 'q', (now ?? '').slice(0, 500)), 90)
})
watch(() => props.text('q'), (now) => {
  if (now !== (q.value ?? '').slice(0, 500)) q.value = now
})
/** As the search takes it. */
const MOST_KEPT = 1_000_000
</script>

<template>
  <div class="finding">
    <v-text-field v-model="q" label="Find" title="By words in text, title, tags and notes, or by what a facet says" type="search" placeholder="heron by the lake; light: rim light" clearable maxlength="500" class="words" />
    <v-select label="Project" :model-value="text('project')" :clearable="text('project') !== ''" :items="[{ title: 'every project', value: '' }, ...projects.all.map((project) => ({ title: `${project.name}${project.archivedAt ? ' (archived)' : ''}`, value: project.id }))]" @update:model-value="emit('set', 'project', $event ?? '')" />
    <v-select label="Tag" :model-value="text('tag')" :clearable="text('tag') !== ''" :items="[{ title: 'any tag', value: '' }, ...tags.map((tag) => ({ title: `${tag.tag} (${tag.count})`, value: tag.tag }))]" @update:model-value="emit('set', 'tag', $event ?? '')" />
    <v-select label="Status" :model-value="text('status')" :clearable="text('status') !== ''" :items="[{ title: 'any status', value: '' }, ...STATUSES]" @update:model-value="emit('set', 'status', $event ?? '')" />
    <v-btn variant="text" :prepend-icon="mdiFilterVariant" :aria-expanded="shown" :disabled="shown && !open" @click="open = !open">{{ open ? 'Fewer filters' : 'More filters' }}</v-btn>
  </div>
  <div v-if="shown" class="finding second">
    <v-select label="Tried" :model-value="text('tried')" :clearable="text('tried') !== ''" :items="[{ title: 'tried or not', value: '' }, { title: 'tried', value: 'yes' }, { title: 'not tried yet', value: 'no' }]" @update:model-value="emit('set', 'tried', $event ?? '')" />
    <NumberField label="Kept at least" :min="0" :max="MOST_KEPT" integer :value="text('kept') || undefined" class="number" @set="emit('set', 'kept', $event === undefined ? '' : String($event))" />
    <v-select label="Engine" :model-value="text('engine')" :clearable="text('engine') !== ''" :items="[{ title: 'any engine', value: '' }, ...engines.newest.map((engine) => ({ title: engine.name, value: engine.id }))]" @update:model-value="emit('set', 'engine', $event ?? '')" />
    <v-select label="Colour of the best proof" :model-value="text('colour')" :clearable="text('colour') !== ''" :items="[{ title: 'any colour', value: '' }, ...COLOURS]" @update:model-value="emit('set', 'colour', $event ?? '')" />
    <v-select label="Template" :model-value="text('template')" :clearable="text('template') !== ''" :items="[{ title: 'any template', value: '' }, ...(templates ?? []).filter(({ drafts, id }) => drafts || id === text('template')).map((template) => ({ title: template.body.name, value: template.id }))]" @update:model-value="emit('set', 'template', $event ?? '')" />
    <v-select v-if="parts?.length || text('part')" label="Character, place or style" :model-value="text('part')" :clearable="text('part') !== ''" :items="[{ title: 'any', value: '' }, ...PART_KINDS.flatMap((kind) => (parts ?? []).filter(({ body }) => body.kind === kind).map((part) => ({ title: part.body.name, value: part.id, props: { subtitle: kind } })))]" @update:model-value="emit('set', 'part', $event ?? '')" />
    <span class="dates">
      <DayField label="Changed from" :day="text('since')" @choose="emit('set', 'since', $event)" />
      <DayField label="Changed to" :day="text('until')" @choose="emit('set', 'until', $event)" />
    </span>
  </div>
</template>

<style scoped>
.finding > .words {
  flex: 1 1 280px;
}
.second {
  margin-top: 0;
}
.dates {
  display: flex;
  gap: 14px;
}

</style>
