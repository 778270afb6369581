<script setup lang="ts">
import type { SheetProof } from '@idolon/contract'
import { intervalOf, type Ranking } from '@idolon/core'
import { scaleLinear } from 'd3'
import { computed } from 'vue'
import { proofName } from './proof-name.ts'

/** Strengths with their intervals, the best first, on one scale; the names are shown now that the judging is done. */
const props = defineProps<{ proofs: readonly SheetProof[]; ranking: Ranking; order: readonly number[]; apart: readonly boolean[] }>()
const WIDTH = 520
const ROW = 56
const PAD = 14
const rows = computed(() => props.order.map((i, o) => ({ i, proof: props.proofs[i]!, strength: props.ranking.strengths[i]!, interval: intervalOf(props.ranking, i), apart: props.apart[o] ?? true, y: o * ROW + ROW / 2 })))
const scale = computed(() => scaleLinear([Math.min(0, ...rows.value.map(({ interval }) => interval[0])), Math.max(0, ...rows.value.map(({ interval }) => interval[1]))], [PAD, WIDTH - PAD]).nice())
/** What a strength is as a chance: how often it would be judged better than an average one. */
const chance = (strength: number) => `${Math.round(100 / (1 + Math.exp(-strength)))} %`
/** The prompt is named where there are several. */
const several = computed(() => new Set(props.proofs.map(({ promptId }) => promptId)).size > 1)
const nameOf = (proof: SheetProof) => proofName(proof, several.value)
</script>

<template>
  <div class="chart">
    <ol>
      <li v-for="(row, o) in rows" :key="row.proof.id" :style="{ height: `${ROW}px` }">
        <span class="rank">{{ o + 1 }}</span>
        <RouterLink :to="`/proofs/${row.proof.id}`" class="name"><img :src="`/api/pictures/${row.proof.picture!.sha256}/thumbnail`" alt="" /><span :title="nameOf(row.proof)">{{ nameOf(row.proof) }}</span></RouterLink>
        <span v-if="!row.apart" class="soft tell">cannot be told from the next yet</span>
      </li>
    </ol>
    <figure>
      <svg :width="WIDTH" :height="rows.length * ROW" :viewBox="`0 0 ${WIDTH} ${rows.length * ROW}`" role="img" aria-label="Strengths with intervals of 90 %, in the order of the list">
        <line :x1="scale(0)" :x2="scale(0)" y1="0" :y2="rows.length * ROW" class="middle" />
        <g v-for="row in rows" :key="row.proof.id">
          <title>{{ `${nameOf(row.proof)}: better than an average one in ${chance(row.strength)} (90 % sure: ${chance(row.interval[0])} to ${chance(row.interval[1])})` }}</title>
          <line :x1="scale(row.interval[0])" :x2="scale(row.interval[1])" :y1="row.y" :y2="row.y" class="interval" />
          <line v-for="end in row.interval" :key="end" :x1="scale(end)" :x2="scale(end)" :y1="row.y - 6" :y2="row.y + 6" class="interval" />
          <circle :cx="scale(row.strength)" :cy="row.y" r="5" class="strength" />
          <text :x="scale(row.strength)" :y="row.y - 11" text-anchor="middle">{{ chance(row.strength) }}</text>
        </g>
      </svg>
      <figcaption class="soft">How often each would be judged better than an average one; the lines hold it with a certainty of 90 %.</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.chart {
  display: grid;
  grid-template-columns: minmax(300px, 1fr) auto;
  gap: 20px;
  align-items: start;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  column-gap: 8px;
  align-content: center;
  align-items: center;
}
.rank {
  font-weight: 600;
}
.name {
  display: flex;
  gap: 10px;
  align-items: center;
  min-width: 0;
  text-decoration: none;
}
.name span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name img {
  flex: none;
  width: 54px;
  height: 36px;
  object-fit: cover;
}
.tell {
  grid-column: 2;
  padding-left: 64px;
  margin-top: -9px;
  font-size: 12px;
}
figure {
  margin: 0;
}
.middle {
  stroke: var(--rule);
}
.interval {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.strength {
  fill: var(--accent);
}
text {
  font-size: 11px;
  fill: var(--soft);
}
</style>
