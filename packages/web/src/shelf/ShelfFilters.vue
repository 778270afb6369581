<script setup lang="ts">
import { listParts, listTemplates, type Part, type TagCount, type Template } from '@idolon/contract'
import { PART_KINDS } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useEngines } from '../stores/engines.ts'
import { useProjects } from '../stores/projects.ts'
import { type SearchName, STATUSES } from './shelf-query.ts'

/** What is looked for: words, and what prompts are held to beside; the less used stand behind one word until they are set. */
const props = defineProps<{ text: (name: SearchName) => string; tags: TagCount[] }>()
const emit = defineEmits<{ set: [name: SearchName, value: string] }>()
const projects = useProjects()
const engines = useEngines()
void engines.load().catch(() => undefined)
const templates = shallowRef<Template[]>([])
const COLOURS = ['red', 'orange', 'yellow', 'green', 'blue', 'purple', 'pink', 'brown', 'beige', 'grey', 'black', 'white']
const MORE: readonly SearchName[] = ['engine', 'kept', 'tried', 'colour', 'template', 'part', 'since', 'until']
const open = ref(false)
const shown = computed(() => open.value || MORE.some((name) => props.text(name)))
watch(shown, (now) => {
  if (now && !templates.value.length) void call(listTemplates, { query: {} }).then((list) => (templates.value = list), () => undefined)
}, { immediate: true })
/** Of the project that is looked in, or of all. */
const parts = shallowRef<Part[]>([])
watch(
  () => [shown.value, props.text('project'), projects.all] as const,
  async ([now, project, all]) => {
    if (!now) return
    const lists = await Promise.all((project ? [project] : all.map(({ id }) => id)).map((id) => call(listParts, { query: { project: id } }).catch(() => [])))
    parts.value = lists.flat()
  },
  { immediate: true },
)
const q = ref(props.text('q'))
let typing: ReturnType<typeof setTimeout> | undefined
watch(q, (now) => {
  clearTimeout(typing)
  typing = setTimeout(() => emit('set', 'q', now.slice(0, 500)), 90)
})
watch(() => props.text('q'), (now) => {
  if (now !== q.value.slice(0, 500)) q.value = now
})
const value = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <div class="finding">
    <input v-model="q" class="field words" type="search" aria-label="Find by words in text, title, tags and notes, or by what a facet says" placeholder="Words, or what a facet says: light: rim light" maxlength="500" />
    <select class="field" aria-label="Project" :value="text('project')" @change="emit('set', 'project', value($event))">
      <option value="">every project</option>
      <option v-for="project in projects.all" :key="project.id" :value="project.id">{{ project.name }}{{ project.archivedAt ? ' (archived)' : '' }}</option>
    </select>
    <select class="field" aria-label="Tag" :value="text('tag')" @change="emit('set', 'tag', value($event))">
      <option value="">any tag</option>
      <option v-for="tag in tags" :key="tag.tag" :value="tag.tag">{{ tag.tag }} ({{ tag.count }})</option>
    </select>
    <select class="field" aria-label="Status" :value="text('status')" @change="emit('set', 'status', value($event))">
      <option value="">any status</option>
      <option v-for="status in STATUSES" :key="status">{{ status }}</option>
    </select>
    <button class="plain" :aria-expanded="shown" :disabled="shown && !open" @click="open = !open">{{ open ? 'Fewer ways' : 'More ways' }}</button>
  </div>
  <div v-if="shown" class="finding second">
    <select class="field" aria-label="Tried" :value="text('tried')" @change="emit('set', 'tried', value($event))"><option value="">tried or not</option><option value="yes">tried</option><option value="no">not tried yet</option></select>
    <label>kept at least <input class="field number" type="number" min="0" :value="text('kept')" aria-label="Keepers at least" @change="emit('set', 'kept', value($event))" /></label>
    <select class="field" aria-label="Engine" :value="text('engine')" @change="emit('set', 'engine', value($event))"><option value="">any engine</option><option v-for="engine in engines.newest" :key="engine.id" :value="engine.id">{{ engine.name }}</option></select>
    <select class="field" aria-label="Colour of the best proof" :value="text('colour')" @change="emit('set', 'colour', value($event))"><option value="">any colour</option><option v-for="colour in COLOURS" :key="colour">{{ colour }}</option></select>
    <select class="field" aria-label="Template" :value="text('template')" @change="emit('set', 'template', value($event))"><option value="">any template</option><option v-for="template in templates.filter(({ drafts, id }) => drafts || id === text('template'))" :key="template.id" :value="template.id">{{ template.body.name }}</option></select>
    <select v-if="parts.length || text('part')" class="field" aria-label="Character, place or style" :value="text('part')" @change="emit('set', 'part', value($event))"><option value="">any character, place, style</option><optgroup v-for="kind in PART_KINDS" :key="kind" :label="kind"><option v-for="part in parts.filter(({ body }) => body.kind === kind)" :key="part.id" :value="part.id">{{ part.body.name }}</option></optgroup></select>
    <span class="dates">
      <label>changed from <input class="field" type="date" :value="text('since')" aria-label="Changed from" @change="emit('set', 'since', value($event))" /></label>
      <label>to <input class="field" type="date" :value="text('until')" aria-label="Changed to" @change="emit('set', 'until', value($event))" /></label>
    </span>
  </div>
</template>

<style scoped>
.words {
  flex: 1 1 280px;
  padding: 7px 10px;
  font-size: 15px;
}
.finding select {
  max-width: 170px;
}
.second {
  margin-top: 0;
}
.dates {
  display: flex;
  gap: 14px;
}
.number {
  width: 64px;
}
</style>
