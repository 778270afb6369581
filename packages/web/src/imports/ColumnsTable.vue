<script setup lang="ts">
import type { Import } from '@idolon/contract'
import { type Field, FIELDS, type Mapping } from '@idolon/core'
import { computed } from 'vue'

/** Which column of a file is what; each thing is in one column at most. */
const props = defineProps<{ columns: Import['columns']; mapping: Mapping }>()
const emit = defineEmits<{ map: [mapping: Mapping] }>()
const SAID: Readonly<Record<Field, string>> = { text: 'text', title: 'title', leaveOut: 'leave-out list', tags: 'tags', status: 'status', note: 'note', project: 'project', engines: 'engines', settings: 'settings' }
const isOf = computed(() => props.columns.map((_, i) => FIELDS.find((field) => props.mapping[field] === i) ?? ''))
function set(column: number, field: Field | ''): void {
  const next: Mapping = Object.fromEntries(Object.entries(props.mapping).filter(([own, at]) => at !== column && own !== field))
  emit('map', field ? { ...next, [field]: column } : next)
}
</script>

<template>
  <v-table class="columns">
    <thead><tr><th scope="col">Column of the file</th><th scope="col">is a prompt’s</th><th scope="col">First in it</th></tr></thead>
    <tbody>
      <tr v-for="({ name, sample }, i) in columns" :key="i">
        <th scope="row">{{ name }}</th>
        <td>
          <v-select :aria-label="`${name} is`" :model-value="isOf[i] ?? ''" :items="[{ title: '— nothing, left out', value: '' }, ...FIELDS.map((field) => ({ title: SAID[field], value: field }))]" @update:model-value="set(i, $event as Field | '')" />
        </td>
        <td class="sample soft" :title="sample">{{ sample }}</td>
      </tr>
    </tbody>
  </v-table>
  <p v-if="mapping.text === undefined" class="soft" role="alert">Say which column is the text; without one nothing can come in.</p>
</template>

<style scoped>
.columns {
  border-collapse: collapse;
}
th,
td {
  padding: 3px 24px 3px 0;
  text-align: left;
  font-weight: 400;
  white-space: nowrap;
}
.sample {
  max-width: 0;
  width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
thead th {
  font-size: 13px;
  color: var(--soft);
}
</style>
