<script setup lang="ts">
import { addReference, listProofs, listTrials, makeSheet, type Part, type Proof, type Trial } from '@idolon/contract'
import { referenceFor, type ReferenceUse } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { onChange } from '../api/changes.ts'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import TrialLine from '../trial/TrialLine.vue'

/** The sheets of a character: made, tried as a trial plan, and one of their proofs taken as the picture that goes along. */
const props = defineProps<{ part: Part; look: string | null; sheets: readonly { promptId: string; title: string }[]; references: readonly ReferenceUse[] }>()
const emit = defineEmits<{ reference: [reference: ReferenceUse] }>()
const router = useRouter()
const task = useTask()
const notices = useNotices()
const proofs = shallowRef<Proof[]>([])
const trials = shallowRef<Trial[]>([])
const busy = ref(false)
const load = async () => {
  const found = await Promise.all(props.sheets.slice(0, 4).map(({ promptId }) => Promise.all([call(listProofs, { query: { prompt: promptId, limit: 60 } }), call(listTrials, { query: { prompt: promptId, limit: 3 } })])))
  proofs.value = found.flatMap(([own]) => own.proofs).filter(({ picture, verdict }) => picture && verdict !== 'drop')
  trials.value = found.flatMap(([, own]) => own)
}
watch(() => props.sheets, () => void task(load), { immediate: true })
let soon: ReturnType<typeof setTimeout> | undefined
onChange((event) => {
  if (event !== 'reset' && !((event.kind === 'run' || event.kind === 'proof') && props.sheets.some(({ promptId }) => promptId === event.promptId))) return
  clearTimeout(soon)
  soon = setTimeout(() => void load().catch(() => undefined), 400)
})
/** Keepers first. */
const shown = computed(() => [...proofs.value].sort((a, b) => Number(b.verdict === 'keep') - Number(a.verdict === 'keep')).slice(0, 24))
const make = () =>
  task(async () => {
    busy.value = true
    try {
      const { promptId } = await call(makeSheet, { params: { part: props.part.id }, body: { style: props.look } })
      await router.push({ path: `/desk/${promptId}/plan`, query: { sheet: props.part.id } })
    } finally {
      busy.value = false
    }
  })
const isReference = ({ id, picture }: Proof) => props.references.some(({ reference }) => reference === picture?.sha256 || reference === id)
const take = (proof: Proof) =>
  task(async () => {
    await call(addReference, { body: { id: crypto.randomUUID(), projectId: props.part.projectId, picture: { proofId: proof.id }, name: `${props.part.body.name}, from the sheet`, source: '', rights: 'own', note: '' } })
    emit('reference', referenceFor('character', proof.picture!.sha256))
    notices.show('It goes along from the next version on: look at what that changes, and keep it.')
  })
</script>

<template>
  <section class="sheet" aria-labelledby="sheet-title">
    <h2 id="sheet-title">Sheet</h2>
    <p class="row-actions"><v-btn :disabled="busy || !part.body.says.length" @click="make">{{ sheets.length ? 'Make another sheet' : 'Make a sheet' }}</v-btn><span class="soft">Poses, expressions, dress and angles as a trial plan; the cost is said before it starts.</span></p>
    <p v-for="one in sheets" :key="one.promptId" class="row-actions"><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink><RouterLink class="soft" :to="{ path: `/desk/${one.promptId}/plan`, query: { sheet: part.id } }">plan it</RouterLink></p>
    <TrialLine v-for="trial in trials" :key="trial.id" :trial="trial" linked @changed="task(load)" />
    <template v-if="shown.length">
      <p class="soft">{{ counted(shown.length, 'proof') }}, keepers first; press the one that all scenes are to follow.</p>
      <ul>
        <li v-for="proof in shown" :key="proof.id">
          <RouterLink :to="`/proofs/${proof.id}`"><img :src="`/api/pictures/${proof.picture!.sha256}/thumbnail`" :alt="proof.output.text.slice(0, 120)" loading="lazy" /></RouterLink>
          <span v-if="isReference(proof)" class="soft">goes along</span>
          <v-btn v-else variant="text" @click="take(proof)">Make it the reference</v-btn>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 6px;
}
ul {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 10px 8px;
}
li {
  display: grid;
  gap: 2px;
  justify-items: start;
  font-size: 12.5px;
}
img {
  width: 100%;
  aspect-ratio: 3 / 2;
  object-fit: cover;
  background: var(--wash);
}
</style>
