<script setup lang="ts">
import { addReference, listProofs, listTrials, makeSheet, type Part, type Proof } from '@idolon/contract'
import { referenceFor, type ReferenceUse } from '@idolon/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import TrialLine from '../trial/TrialLine.vue'

/** The sheets of a character: made, tried as a trial plan, and one of their proofs taken as the picture that goes along. */
const props = defineProps<{ part: Part; look: string | null; sheets: readonly { promptId: string; title: string }[]; references: readonly ReferenceUse[] }>()
const emit = defineEmits<{ reference: [reference: ReferenceUse] }>()
const router = useRouter()
const task = useTask()
const notices = useNotices()
const busy = ref(false)
const sheetIds = computed(() => props.sheets.slice(0, 4).map(({ promptId }) => promptId))
const { data: found, load } = usePageData({
  key: () => ['sheets', ...sheetIds.value],
  read: (signal) => Promise.all(sheetIds.value.map(async (prompt) => {
    const [{ proofs }, trials] = await Promise.all([call(listProofs, { query: { prompt, limit: 60 }, signal }), call(listTrials, { query: { prompt, limit: 3 }, signal })])
    return { proofs, trials }
  })),
  on: (event) => (event.kind === 'run' || event.kind === 'proof') && sheetIds.value.some((prompt) => prompt === event.promptId),
  gatherMs: 400,
})
const proofs = computed(() => (found.value ?? []).flatMap((own) => own.proofs).filter(({ picture, verdict }) => picture && verdict !== 'drop'))
const trials = computed(() => (found.value ?? []).flatMap((own) => own.trials))
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
    <TrialLine v-for="trial in trials" :key="trial.id" :trial="trial" linked @changed="load" />
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
