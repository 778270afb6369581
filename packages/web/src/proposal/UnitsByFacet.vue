<script setup lang="ts">
import { FACETS } from '@idolon/core'
import type { ProposalUnit } from '@idolon/core/helper'
import { computed } from 'vue'
import type { Proposal } from './use-proposal.ts'
import UnitRow from './UnitRow.vue'

/** What is proposed, facet by facet in writing order, each to accept or reject. */
const props = defineProps<{ proposal: Proposal }>()
const name = (facet: string) => facet.charAt(0).toUpperCase() + facet.slice(1)
const rows = computed(() => {
  const units = props.proposal.units.value
  const of = (facet: string) => units.filter(({ difference }) => difference.facet === facet)
  const rest: [string, (unit: ProposalUnit) => boolean][] = [
    ['Leave out', ({ difference }) => difference.kind === 'leave-out'],
    ['Settings', ({ difference }) => difference.kind === 'setting' || difference.kind === 'seed' || difference.kind === 'engine'],
  ]
  const groups = [...FACETS.map((facet) => ({ name: name(facet), list: of(facet) })), ...rest.map(([title, is]) => ({ name: title, list: units.filter((unit) => !unit.difference.facet && is(unit)) }))]
  const placed = new Set(groups.flatMap(({ list }) => list))
  return [...groups, { name: 'Other', list: units.filter((unit) => !placed.has(unit)) }].filter(({ list }) => list.length)
})
</script>

<template>
  <div class="units">
    <section v-for="row in rows" :key="row.name" class="row" :aria-label="row.name">
      <h3>{{ row.name }}</h3>
      <ul>
        <UnitRow v-for="unit in row.list" :key="`${unit.index} ${unit.difference.a} ${unit.difference.b}`" :unit="unit" :ready="proposal.current.value" @take="proposal.take([unit])" @leave="proposal.leave([unit])" />
      </ul>
    </section>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 78px minmax(0, 1fr);
  align-items: baseline;
}
h3 {
  font-size: 13px;
  font-weight: 500;
  color: var(--soft);
}
</style>
