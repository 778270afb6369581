<script setup lang="ts">
import type { SheetProof } from '@idolon/contract'
import { FAULTS } from '@idolon/core'
import { computed } from 'vue'
import { proofName } from './proof-name.ts'

/** A proof on a sheet. Kept small: there are thousands of them. */
const props = defineProps<{ proof: SheetProof; width: number; height: number; selected: boolean; place: number; reached: boolean; /** Of a trial plan: what else was chosen. */ options?: string }>()
const said = computed(() => {
  const { proof } = props
  return [props.options ?? '', proofName(proof), proof.verdict ?? '', ...proof.faults.map((fault) => FAULTS[fault])].filter(Boolean).join(', ')
})
/** What is shown no larger than that is fetched no larger. */
const size = computed(() => (props.height <= 168 ? 'small' : 'thumbnail'))
const faults = computed(() => props.proof.faults.map((fault) => FAULTS[fault]).join(', '))
</script>

<template>
  <div class="tile" role="option" :aria-selected="selected" :aria-label="said" :title="said" :data-place="place" :tabindex="reached ? 0 : -1" :style="{ width: `${width}px` }">
    <div class="picture" :class="[proof.verdict, { selected }]" :style="{ height: `${height}px` }">
      <img v-if="proof.picture" :src="`/api/pictures/${proof.picture.sha256}/${size}`" alt="" decoding="async" draggable="false" />
      <span v-else class="soft">{{ proof.state }}</span>
    </div>
    <div class="caption"><span v-if="proof.verdict" :class="{ kept: proof.verdict === 'keep' }">{{ proof.verdict }}</span><span v-if="faults" class="faults">{{ faults }}</span><span v-else-if="options" class="soft options">{{ options }}</span><span v-else-if="proof.seed !== null" class="soft">seed {{ proof.seed }}</span></div>
  </div>
</template>

<style scoped>
.tile {
  cursor: default;
  contain: layout paint style;
}
.picture {
  display: grid;
  place-items: center;
  overflow: hidden;
  background: var(--wash);
  border: 3px solid transparent;
}
.picture img {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.picture.keep {
  border-color: var(--kept);
}
.picture.drop img {
  opacity: 0.38;
}
.picture.selected {
  border-color: var(--ink);
  outline: 2px solid var(--accent);
  outline-offset: -5px;
}
.caption {
  display: flex;
  gap: 8px;
  height: 20px;
  overflow: hidden;
  white-space: nowrap;
  font-size: 12px;
}
.options {
  overflow: hidden;
  text-overflow: ellipsis;
}
.faults {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--accent);
}
</style>
