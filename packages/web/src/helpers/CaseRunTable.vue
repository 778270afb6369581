<script setup lang="ts">
import type { CaseResult, CaseRun } from '@idolon/contract'
import { type PairedCounts, pairedSaid } from '@idolon/core/helper'
import { computed, ref } from 'vue'
import { counted, sayAmounts, sayWhen } from '../shared/said.ts'
import { useModels } from '../stores/models.ts'

/** What the cases came to on one side or two: failures first, in sentences; each answer can be read. */
const props = defineProps<{ run: CaseRun }>()
const emit = defineEmits<{ stop: [] }>()
const models = useModels()
const open = ref('')
const nameOf = (side: number) => {
  const one = props.run.sides[side]
  return one ? `Version ${one.version}, ${models.find(one.model)?.name ?? one.model}` : ''
}
const isOver = ({ state }: CaseResult) => state !== 'asked' && state !== 'answering'
const over = computed(() => props.run.results.filter(isOver).length)
const going = computed(() => over.value < props.run.results.length)
const of = (side: number) => props.run.results.filter((result) => result.side === side)
const rows = computed(() => {
  const cases = [...new Map(props.run.results.map(({ caseId, caseName }) => [caseId, caseName]))]
  return cases
    .map(([id, name]) => ({ id, name, results: props.run.sides.map((_, side) => of(side).find(({ caseId }) => caseId === id)) }))
    .sort((a, b) => failing(b.results) - failing(a.results))
})
const failing = (results: readonly (CaseResult | undefined)[]) => results.filter((result) => result?.passed === false).length
const counts = computed((): PairedCounts => {
  const both = rows.value.map(({ results }) => results.map((result) => result?.passed)).filter(([a, b]) => typeof a === 'boolean' && typeof b === 'boolean')
  const count = (a: boolean, b: boolean) => both.filter(([x, y]) => x === a && y === b).length
  return { both: count(true, true), onlyFirst: count(true, false), onlySecond: count(false, true), neither: count(false, false) }
})
const sums = computed(() =>
  props.run.sides.map((_, side) => {
    const done = of(side).filter(isOver)
    const times = done.flatMap(({ tookMs }) => tookMs ?? []).sort((a, b) => a - b)
    return { name: nameOf(side), passed: done.filter(({ passed }) => passed).length, judged: done.filter(({ passed }) => passed !== null).length, cost: sayAmounts([{ unit: props.run.unit, amount: done.reduce((sum, { cost }) => sum + (cost ?? 0), 0) }]), half: times.length ? `half within ${((times[Math.floor(times.length / 2)] ?? 0) / 1000).toFixed(1)} s` : '' }
  }),
)
const says = (result: CaseResult | undefined): string[] => {
  if (!result) return []
  if (!isOver(result)) return [result.state === 'asked' ? 'waits' : 'is asked ...']
  if (result.state === 'stopped') return ['stopped']
  const failed = result.verdicts.filter(({ pass }) => !pass).map((one) => one.says)
  return failed.length ? [...new Set([...(result.problem ? [result.problem] : []), ...failed])] : ['passes']
}
/** A change that broke or fixed the case. */
const changed = (results: readonly (CaseResult | undefined)[]) => (results.length < 2 || results.some((result) => typeof result?.passed !== 'boolean') || results[0]!.passed === results[1]!.passed ? '' : results[0]!.passed ? 'broken' : 'fixed')
</script>

<template>
  <div class="run">
    <p v-if="going" class="row-actions" role="status">
      <v-progress-linear :model-value="over" :max="run.results.length" :aria-label="`${over} of ${run.results.length} answered`" />
      <span>{{ over }} of {{ counted(run.results.length, 'answer') }}</span>
      <v-btn @click="emit('stop')">Stop</v-btn>
    </p>
    <p v-else class="soft">{{ sayWhen(run.askedAt) }}{{ run.stoppedAt ? ', stopped' : '' }}</p>
    <p v-if="run.sides.length === 2 && !going" class="sentence">{{ pairedSaid(counts, nameOf(0), nameOf(1).replace(/^V/, 'v')) }}</p>
    <v-table>
      <thead>
        <tr>
          <th scope="col">Case</th>
          <th v-for="sum in sums" :key="sum.name" scope="col">{{ sum.name }}<br /><span class="soft">{{ sum.passed }} of {{ sum.judged }} pass, {{ sum.cost }}{{ sum.half ? `, ${sum.half}` : '' }}</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.id">
          <tr>
            <th scope="row"><v-btn variant="text" :aria-expanded="open === row.id" @click="open = open === row.id ? '' : row.id">{{ row.name }}</v-btn><span v-if="changed(row.results)" class="change" :class="changed(row.results)">{{ ` ${changed(row.results)}` }}</span></th>
            <td v-for="(result, side) in row.results" :key="side" :class="{ failed: result?.passed === false, passed: result?.passed }">
              <p v-for="line in says(result)" :key="line">{{ line }}</p>
            </td>
          </tr>
          <tr v-if="open === row.id" class="answers">
            <td />
            <td v-for="(result, side) in row.results" :key="side"><pre class="exact">{{ result?.answer || 'Nothing came.' }}</pre></td>
          </tr>
        </template>
      </tbody>
    </v-table>
  </div>
</template>

<style scoped>
.run {
  display: grid;
  gap: 10px;
}
.sentence {
  font-family: var(--serif);
  font-size: 16.5px;
  max-width: 70ch;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th:first-child {
  width: 24%;
}
th {
  text-align: left;
  font-weight: 500;
}
thead th {
  font-weight: 600;
}
thead .soft {
  font-weight: 400;
  font-size: 12.5px;
}
th,
td {
  padding: 5px 14px 5px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
  overflow-wrap: anywhere;
}
td.failed p {
  padding-left: 9px;
  border-left: 2px solid var(--accent);
}
td.passed {
  color: var(--kept);
}
.change {
  margin-left: 8px;
  font-size: 12.5px;
}
.change.broken {
  color: var(--accent);
}
.change.fixed {
  color: var(--kept);
}
pre {
  max-height: 240px;
  overflow: auto;
  padding: 8px;
  background: var(--wash);
}
</style>
