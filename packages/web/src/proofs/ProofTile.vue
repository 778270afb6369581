<script setup lang="ts">
import { askAgain, type Proof } from '@idolon/contract'
import { FAULTS } from '@idolon/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { changeFor, markProof } from './mark-proofs.ts'
import { engineName } from './proof-name.ts'

const props = withDefaults(defineProps<{ proof: Proof; height?: number }>(), { height: 150 })
const emit = defineEmits<{ changed: [proof: Proof]; move: [by: number] }>()
const router = useRouter()
const task = useTask()
const button = ref<HTMLElement | { $el: HTMLElement }>()

const size = computed(() => {
  const { width, height } = props.proof.picture ?? { width: Number(props.proof.output.settings['width'] ?? 3), height: Number(props.proof.output.settings['height'] ?? 2) }
  return { width: `${Math.round((props.height * width) / height)}px`, height: `${props.height}px` }
})
const waiting = computed(() => props.proof.state === 'asked' || props.proof.state === 'sent')
const label = computed(() => {
  const { proof } = props
  const name = `${proof.promptTitle}, version ${proof.version}, ${engineName(proof)}, result ${proof.index + 1}`
  return proof.state === 'stored' ? `${name}${proof.verdict ? `, ${proof.verdict}` : ''}${proof.faults.map((fault) => `, ${FAULTS[fault]}`).join('')}` : name
})

async function onKey(event: KeyboardEvent): Promise<void> {
  if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
    event.preventDefault()
    emit('move', event.key === 'ArrowLeft' ? -1 : 1)
    return
  }
  const change = changeFor(event, props.proof)
  if (!change || props.proof.state !== 'stored') return
  event.preventDefault()
  await task(async () => {
    emit('changed', await markProof(props.proof.id, change))
  })
}
const again = () =>
  task(async () => {
    emit('changed', await call(askAgain, { params: { proof: props.proof.id } }))
  })
defineExpose({
  focus: () => {
    const shown = button.value
    if (shown) ('$el' in shown ? shown.$el : shown).focus()
  },
})
</script>

<template>
  <figure class="tile">
    <v-btn v-if="proof.picture" ref="button" variant="text" :class="proof.verdict" :style="size" :aria-label="label" class="picture lines" @click="router.push(`/proofs/${proof.id}`)" @keydown="onKey"><img :src="`/api/pictures/${proof.picture.sha256}/thumbnail`" alt="" loading="lazy" decoding="async" /></v-btn>
    <div v-else ref="button" class="blank" :style="size" tabindex="0" role="group" :aria-label="label" @keydown="onKey">
      <span v-if="waiting" class="soft">{{ proof.state === 'asked' ? 'Waiting' : 'At the engine' }}<i class="bar" /></span>
      <template v-else>
        <span class="reason" :title="proof.reason ?? ''">{{ proof.reason }}</span>
        <v-btn variant="text" @click="again">Ask again</v-btn>
      </template>
    </div>
    <figcaption>
      <span v-if="proof.verdict" :class="{ kept: proof.verdict === 'keep' }">{{ proof.verdict }}</span>
      <span v-if="proof.faults.length" class="faults" :title="proof.faults.map((fault) => FAULTS[fault]).join(', ')">{{ proof.faults.map((fault) => FAULTS[fault]).join(', ') }}</span>
      <span v-if="proof.seed !== null && proof.picture" class="soft">seed {{ proof.seed }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.tile {
  margin: 0;
  /* The caption is never wider than its picture. */
  width: min-content;
}
.picture {
  display: block;
  padding: 0;
  border: 0;
  background: var(--wash);
  cursor: zoom-in;
}
.picture img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.picture.keep {
  box-shadow: 0 0 0 3px var(--sheet), 0 0 0 5px var(--kept);
}
.picture.drop img {
  opacity: 0.38;
}
.blank {
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 8px;
  padding: 10px;
  border: 1px dashed var(--rule-strong);
  font-size: 12px;
  text-align: center;
  overflow: hidden;
}
.reason {
  display: -webkit-box;
  -webkit-line-clamp: 4;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.bar {
  display: block;
  width: 70px;
  height: 2px;
  margin-top: 8px;
  background: linear-gradient(90deg, var(--accent) 40%, transparent 40%) 0 0 / 200% 100%;
  /* In few steps: many of these at once, drawn anew sixty times a second, would take from the engines what a picture needs. */
  animation: slide 1.6s steps(8) infinite;
}
@keyframes slide {
  to {
    background-position: -200% 0;
  }
}
figcaption {
  display: flex;
  width: 0;
  min-width: 100%;
  white-space: nowrap;
  gap: 10px;
  min-height: 20px;
  padding-top: 5px;
  font-size: 12px;
}
.faults {
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--accent);
}
</style>
