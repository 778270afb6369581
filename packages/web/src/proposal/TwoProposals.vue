<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { FACETS } from '@idolon/core'
import type { ProposalUnit } from '@idolon/core/helper'
import { computed } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'
import UnitRow from './UnitRow.vue'
import { type Around, useProposal } from './use-proposal.ts'

/** What two models propose, side by side by facet; phrases are taken from both. */
const props = defineProps<{ turns: [Turn, Turn]; session: DraftSession; around: Around }>()
const of = (side: 0 | 1) => useProposal(props.session, () => (props.turns[side].proposed ? { proposed: props.turns[side].proposed, helper: props.turns[side].helper } : undefined), () => props.around)
const sides = [of(0), of(1)] as const
const name = (facet: string) => facet.charAt(0).toUpperCase() + facet.slice(1)
const key = ({ difference }: ProposalUnit) => difference.facet ?? (difference.kind === 'leave-out' ? 'leave out' : 'settings')
const rows = computed(() =>
  [...FACETS, 'leave out', 'settings'].flatMap((facet) => {
    const lists = sides.map(({ units }) => units.value.filter((unit) => key(unit) === facet))
    const was = [...new Set(lists.flat().flatMap(({ difference }) => (difference.a && difference.kind === 'phrase' ? [difference.a] : [])))]
    return lists.some((list) => list.length) ? [{ name: name(facet), lists, was }] : []
  }),
)
/** Said by both in the same words. */
const alike = computed(() => {
  const words = (side: 0 | 1) => new Set(sides[side].units.value.flatMap(({ difference }) => (difference.b ? [difference.b.toLowerCase()] : [])))
  const other = words(1)
  return [...words(0)].filter((said) => other.has(said)).length
})
const ready = computed(() => sides.every(({ current }) => current.value))
</script>

<template>
  <div class="two">
    <p class="soft">{{ rows.length ? `By facet; ${alike ? `${alike} said alike by both` : 'nothing is said alike by both'}. Accept what you like from either.` : ready ? 'Nothing more is proposed.' : 'Comparing with the draft …' }}</p>
    <div class="head"><span /><strong>{{ turns[0].model.name }}</strong><strong>{{ turns[1].model.name }}</strong></div>
    <div class="units">
      <section v-for="row in rows" :key="row.name" class="row" :aria-label="row.name">
        <h3>{{ row.name }}</h3>
        <p v-if="row.was.length" class="was"><span class="soft">now</span> {{ row.was.join('; ') }}</p>
        <ul v-for="(list, side) in row.lists" :key="side" :aria-label="turns[side as 0 | 1].model.name">
          <UnitRow v-for="unit in list" :key="`${unit.index} ${unit.difference.b}`" :unit="unit" narrow :ready="sides[side as 0 | 1].current.value" @take="sides[side as 0 | 1].take([unit])" @leave="sides[side as 0 | 1].leave([unit])" />
          <li v-if="list.length === 0" class="soft none">nothing</li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  gap: 10px;
}
.head,
.row {
  display: grid;
  grid-template-columns: 66px minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 14px;
  align-items: start;
}
.was {
  grid-column: 2 / -1;
  padding: 3px 0 0 8px;
  font-family: var(--serif);
  font-size: 15px;
}
.was .soft {
  font-family: var(--grotesque);
  font-size: 12.5px;
}
.row > ul:first-of-type {
  grid-column: 2;
}
h3 {
  padding-top: 4px;
  font-size: 13px;
  font-weight: 500;
  color: var(--soft);
}
.none {
  padding: 4px 0 4px 8px;
}
</style>
