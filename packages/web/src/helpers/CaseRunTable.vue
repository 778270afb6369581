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
/** The cases whose answers are read. */
const open = ref<string[]>([])
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
/** What a row is about is its head, for who hears the table. */
const ROW_HEADER = { role: 'rowheader' }
const headers = computed(() => [{ title: 'Case', key: 'name', width: '24%', cellProps: ROW_HEADER }, ...sums.value.map(({ name }, side) => ({ title: name, key: `side${side}`, sortable: false }))])
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
    <v-data-table v-model:expanded="open" :headers="headers" :items="rows" item-value="id" :hover="false">
      <template v-for="(sum, side) in sums" :key="sum.name" #[`header.side${side}`]>{{ sum.name }}<br /><span class="soft sums">{{ sum.passed }} of {{ sum.judged }} pass, {{ sum.cost }}{{ sum.half ? `, ${sum.half}` : '' }}</span></template>
      <template #item.name="{ item, internalItem, isExpanded, toggleExpand }"><v-btn variant="text" :aria-expanded="isExpanded(internalItem)" @click="toggleExpand(internalItem)">{{ item.name }}</v-btn><span v-if="changed(item.results)" class="change" :class="changed(item.results)">{{ ` ${changed(item.results)}` }}</span></template>
      <template v-for="(_, side) in run.sides" :key="side" #[`item.side${side}`]="{ item }"><div :class="{ failed: item.results[side]?.passed === false, passed: item.results[side]?.passed }"><p v-for="line in says(item.results[side])" :key="line">{{ line }}</p></div></template>
      <template #expanded-row="{ item }">
        <tr class="answers">
          <td />
          <td v-for="(result, side) in item.results" :key="side"><pre class="exact">{{ result?.answer || 'Nothing came.' }}</pre></td>
        </tr>
      </template>
    </v-data-table>
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
.sums {
  font-weight: 400;
  font-size: 12.5px;
}
.failed p {
  padding-left: 9px;
  border-left: 2px solid var(--accent);
}
.passed {
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
