<script setup lang="ts">
import type { TrialFactor, TrialWhole } from '@idolon/contract'
import { computed } from 'vue'

/** What the options of a plan did, thing by thing: a sentence, and each option's effect with where it lies in nine of ten cases. */
const props = defineProps<{ whole: TrialWhole }>()
const blocks = computed(() => [
  ...(props.whole.ranking ? [{ by: 'By blind judging', unit: 'strength', factors: props.whole.ranking }] : []),
  ...(props.whole.trial.judged || !props.whole.ranking ? [{ by: 'By verdicts', unit: 'of a keep', factors: props.whole.verdicts }] : []),
])
const WIDTH = 150
const headersOf = (name: string) => [{ title: name, key: 'name', cellProps: { role: 'rowheader' } }, { title: 'Nine in ten cases', key: 'line', sortable: false }, { title: 'Effect', key: 'effect', align: 'end' as const }, { title: 'Judged', key: 'judged' }]
/** Half the scale: what lies farthest from the mean of anything. */
const reach = (factors: readonly TrialFactor[]) => Math.max(0.05, ...factors.flatMap(({ options }) => options.filter(({ judged }) => judged).flatMap(({ low, high }) => [Math.abs(low), Math.abs(high)])))
const x = (value: number, most: number) => WIDTH / 2 + (value / most) * (WIDTH / 2 - 4)
const signed = (value: number, unit: string) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${unit === 'strength' ? Math.abs(value).toFixed(1) : `${Math.round(Math.abs(value) * 100)} %`}`
</script>

<template>
  <section class="effects" aria-label="What the options did">
    <div v-for="block in blocks" :key="block.by">
      <p class="soft">{{ block.by }}; effects are over the mean of the others, everything else alike; lines reach as far as 9 in 10 cases</p>
      <div class="factors">
        <div v-for="factor in block.factors" :key="factor.name">
          <p :class="{ strong: factor.told }">{{ factor.says }}</p>
          <v-data-table v-if="factor.options.some(({ judged }) => judged)" :headers="headersOf(factor.name)" :items="factor.options.toSorted((p, q) => q.effect - p.effect)" item-value="name">
            <template #item.line="{ item: option }">
              <svg v-if="option.judged" :width="WIDTH" height="14" aria-hidden="true">
                <line :x1="WIDTH / 2" :x2="WIDTH / 2" y1="0" y2="14" class="mean" />
                <line :x1="x(option.low, reach(block.factors))" :x2="x(option.high, reach(block.factors))" y1="7" y2="7" class="interval" />
                <circle :cx="x(option.effect, reach(block.factors))" cy="7" r="3.5" :class="{ told: factor.told === option.name }" />
              </svg>
            </template>
            <template #item.effect="{ item: option }">{{ option.judged ? signed(option.effect, block.unit) : 'not judged' }}</template>
            <template #item.judged="{ item: option }">{{ option.judged ? `of ${option.judged}` : '' }}</template>
          </v-data-table>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.effects {
  display: grid;
  gap: 12px;
  max-height: 30vh;
  overflow: auto;
}
.factors {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 8px 28px;
  margin-top: 6px;
}
.mean {
  stroke: var(--rule);
}
.interval {
  stroke: var(--rule-strong);
  stroke-width: 1.5;
}
circle {
  fill: var(--ink);
}
circle.told {
  fill: var(--kept);
}
</style>
