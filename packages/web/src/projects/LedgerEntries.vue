<script setup lang="ts">
import type { LedgerEntry } from '@idolon/contract'
import { computed } from 'vue'
import { sayExactly } from '../shared/said.ts'

/** The newest entries of a project's ledger, as a table that sorts; undefined while they are read. */
const props = defineProps<{ entries: readonly LedgerEntry[] | undefined }>()
const HEADERS = [
  { title: 'When', key: 'at' },
  { title: 'Prompt', key: 'promptTitle' },
  { title: 'Asked of', key: 'engine' },
  { title: 'What', key: 'what' },
  { title: 'Amount', key: 'amount', align: 'end' },
] as const
const HEIGHT = 340
const rows = computed(() => (props.entries ?? []).map((entry) => ({ ...entry, what: entry.kind === 'reserve' ? 'set aside' : entry.note ? `settled, ${entry.note}` : 'settled' })))
const amount = ({ kind, amount: much, unit }: LedgerEntry) => (kind === 'settle' && much === 0 ? 'as set aside' : `${much.toLocaleString('en')} ${unit}${Math.abs(much) === 1 ? '' : 's'}`)
</script>

<template>
  <v-data-table-virtual :headers="HEADERS" :items="rows" :height="Math.min(HEIGHT, 40 + 36 * Math.max(1, rows.length))" :loading="entries === undefined" item-value="id" no-data-text="Nothing spent." aria-label="Newest entries">
    <template #item.at="{ item }">{{ sayExactly(item.at) }}</template>
    <template #item.promptTitle="{ item }"><RouterLink v-if="item.promptId" :to="`/desk/${item.promptId}`">{{ item.promptTitle }}</RouterLink><span v-else class="soft">no prompt</span></template>
    <template #item.amount="{ item }"><span class="amount">{{ amount(item) }}</span></template>
  </v-data-table-virtual>
</template>

<style scoped>
.amount {
  white-space: nowrap;
}
</style>
