<script setup lang="ts">
import { type LedgerBy, type Project, sumLedger } from '@idolon/contract'
import { scaleLinear } from 'd3'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { sayMoney, worth } from './money.ts'

/** What was spent, as bars by day, engine or prompt, with what a kept picture cost. */
const props = defineProps<{ project: Project }>()
const BY: Record<Exclude<LedgerBy, 'project'>, string> = { day: 'by day', engine: 'by engine or model', prompt: 'by prompt' }
const by = ref<keyof typeof BY>('day')
const { data } = usePageData({
  key: () => ['ledger sums', props.project.id, by.value],
  read: (signal) => call(sumLedger, { params: { by: by.value }, query: { project: props.project.id }, signal }),
  on: ({ kind }) => kind === 'proof' || kind === 'run' || kind === 'turn',
  gatherMs: 800,
  keepBefore: true,
})
const sums = computed(() => data.value ?? [])
const router = useRouter()
interface Line {
  key: string
  label: string
  amounts: { unit: string; amount: number }[]
  proofs: number
  keepers: number
  size: number
}
/** Units are added up by their prices. Where one has none nothing adds them up, and the bars are of the unit that most is spent on. */
const barUnit = computed(() => {
  if (worth(sums.value, props.project) !== undefined) return ''
  const lines = new Map<string, number>()
  for (const { unit, proofs } of sums.value) lines.set(unit, (lines.get(unit) ?? 0) + 1 + proofs)
  return [...lines].sort(([, a], [, b]) => b - a)[0]?.[0] ?? ''
})
const severalUnits = computed(() => new Set(sums.value.map(({ unit }) => unit)).size > 1)
const lines = computed(() => {
  const byKey = new Map<string, Line>()
  for (const { key, label, unit, amount, proofs, keepers } of sums.value) {
    const line = byKey.get(key) ?? { key, label, amounts: [], proofs: 0, keepers: 0, size: 0 }
    line.amounts.push({ unit, amount })
    line.proofs += proofs
    line.keepers += keepers
    byKey.set(key, line)
  }
  const all = [...byKey.values()]
  for (const line of all) line.size = barUnit.value ? line.amounts.filter(({ unit }) => unit === barUnit.value).reduce((sum, { amount }) => sum + amount, 0) : (worth(line.amounts, props.project) ?? 0)
  return by.value === 'day' ? all.slice(-31) : all.sort((a, b) => b.size - a.size).slice(0, 20)
})
const WIDTH = 220
const BAR = 14
const x = computed(() => scaleLinear([0, Math.max(1e-9, ...lines.value.map(({ size }) => size))], [0, WIDTH]))
/** Days stand in their order, what else in that of what it cost, until the writer sorts by another. */
const headers = computed(() => [
  { title: by.value === 'day' ? 'Day' : by.value === 'engine' ? 'Engine or model' : 'Prompt', key: 'label', cellProps: { role: 'rowheader' }, sortRaw: (a: Line, b: Line) => (by.value === 'day' ? a.key.localeCompare(b.key) : a.label.localeCompare(b.label)) },
  { title: 'Spent', key: 'size' },
  { title: 'As a bar', key: 'bar', sortable: false },
  { title: 'Pictures', key: 'proofs' },
  { title: 'Per kept picture', key: 'perKeeper', sortRaw: (a: Line, b: Line) => costOfKeeper(a) - costOfKeeper(b) },
])
/** What never led to a kept picture stands behind all that did. */
const costOfKeeper = ({ size, keepers }: Line) => (keepers ? size / keepers : Infinity)
const perKeeper = (line: Line) => (line.keepers ? sayMoney.worth(line.amounts.map(({ unit, amount }) => ({ unit, amount: amount / line.keepers })), props.project) || sayAmounts(line.amounts.map(({ unit, amount }) => ({ unit, amount: Math.round((10 * amount) / line.keepers) / 10 }))) : '')
const open = (line: Line) => by.value === 'prompt' && line.key !== '' && void router.push(`/desk/${line.key}`)
const day = (label: string) => new Date(`${label}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' })
</script>

<template>
  <section class="spending" aria-label="What was spent">
    <p class="row-actions">
      <v-btn v-for="(name, key) in BY" :key="key" variant="text" :class="{ strong: by === key }" :aria-pressed="by === key" @click="by = key">{{ name }}</v-btn>
      <a class="csv" :href="`/api/ledger.csv?project=${project.id}`" download>The whole ledger as CSV</a>
    </p>
    <v-data-table v-if="lines.length" :headers="headers" :items="lines" item-value="key">
      <template #item.label="{ item }"><v-btn v-if="by === 'prompt' && item.key" variant="text" class="label" :title="item.label" @click="open(item)">{{ item.label }}</v-btn><template v-else>{{ by === 'day' ? day(item.label) : item.label }}</template></template>
      <template #item.size="{ item }">{{ sayAmounts(item.amounts) }}<span v-if="sayMoney.worth(item.amounts, project)" class="soft">, {{ sayMoney.worth(item.amounts, project) }}</span></template>
      <template #item.bar="{ item }"><svg :width="WIDTH" :height="BAR" aria-hidden="true"><rect x="0" y="0" :width="Math.max(1, x(item.size))" :height="BAR" /></svg></template>
      <template #item.proofs="{ item }">{{ counted(item.proofs, 'proof') }}<template v-if="item.keepers">, <span class="kept">{{ item.keepers }} kept</span></template></template>
      <template #item.perKeeper="{ item }">{{ perKeeper(item) }}</template>
    </v-data-table>
    <p v-else class="soft">Nothing spent yet.</p>
    <p v-if="barUnit && severalUnits" class="soft">The bars are of {{ barUnit }}s alone: give the price of every unit above, and all is added up.</p>
  </section>
</template>

<style scoped>
.spending {
  margin: 14px 0;
  display: grid;
  gap: 8px;
}
.csv {
  margin-left: auto;
}
.label {
  max-width: 200px;
  overflow: hidden;
  text-overflow: ellipsis;
}
svg {
  display: block;
}
rect {
  fill: var(--rule-strong);
}
</style>
