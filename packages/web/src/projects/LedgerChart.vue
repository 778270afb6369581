<script setup lang="ts">
import { type LedgerBy, type Project, sumLedger } from '@idolon/contract'
import { scaleBand, scaleLinear } from 'd3'
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
const ROW = 24
const x = computed(() => scaleLinear([0, Math.max(1e-9, ...lines.value.map(({ size }) => size))], [0, WIDTH]))
const y = computed(() => scaleBand(lines.value.map(({ key }) => key), [0, lines.value.length * ROW]).padding(0.35))
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
    <v-table v-if="lines.length">
      <thead class="soft"><tr><th scope="col">{{ by === 'day' ? 'Day' : by === 'engine' ? 'Engine or model' : 'Prompt' }}</th><th scope="col">Spent</th><td /><th scope="col">Pictures</th><th scope="col">Per kept picture</th></tr></thead>
      <tbody>
        <tr v-for="(line, i) in lines" :key="line.key">
          <th scope="row" class="label" :title="line.label"><v-btn v-if="by === 'prompt' && line.key" variant="text" @click="open(line)">{{ line.label }}</v-btn><template v-else>{{ by === 'day' ? day(line.label) : line.label }}</template></th>
          <td class="amount">{{ sayAmounts(line.amounts) }}<span v-if="sayMoney.worth(line.amounts, project)" class="soft">, {{ sayMoney.worth(line.amounts, project) }}</span></td>
          <td v-if="i === 0" class="bars" :rowspan="lines.length">
            <svg :width="WIDTH" :height="lines.length * ROW" role="img" aria-label="The same as bars"><rect v-for="one in lines" :key="one.key" x="0" :y="y(one.key)" :width="Math.max(1, x(one.size))" :height="y.bandwidth()" /></svg>
          </td>
          <td>{{ counted(line.proofs, 'proof') }}<template v-if="line.keepers">, <span class="kept">{{ line.keepers }} kept</span></template></td>
          <td>{{ perKeeper(line) }}</td>
        </tr>
      </tbody>
    </v-table>
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
tbody tr {
  height: 24px;
}
th {
  text-align: left;
  font-weight: 400;
}
th,
td {
  padding: 0 14px 0 0;
  white-space: nowrap;
}
.amount {
  max-width: 240px;
  white-space: normal;
}
.label {
  max-width: 200px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.bars {
  vertical-align: top;
}
svg {
  display: block;
}
rect {
  fill: var(--rule-strong);
}
</style>
