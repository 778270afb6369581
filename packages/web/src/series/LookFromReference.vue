<script setup lang="ts">
import { type AgreementRow, canBeSaidOf, type Facet, type Fit, fitOf, isMadeOf, type PartBody, partProblems, ASPECTS, type Aspect, withPhrase } from '@idolon/core'
import { listReferences, readAgreement, readProof, type Reference } from '@idolon/contract'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { thumbnailOf } from '../proofs/upload.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import FoldOut from '../shared/FoldOut.vue'

/** What a reference picture gives, moved onto a part phrase by phrase: each is held against what the part says, and the writer says where it goes. */
const props = defineProps<{ projectId: string; body: PartBody }>()
const emit = defineEmits<{ put: [body: PartBody] }>()
const task = useTask()
let reading: ReadingClient | undefined
onScopeDispose(() => reading?.stop())

interface Row {
  facet: Facet
  text: string
  by: string
  confidence: number | null
  against: string | null
}
const all = shallowRef<Reference[]>([])
const chosen = ref('')
const rows = shallowRef<Row[]>()
watch(() => props.projectId, (project) => void task(async () => (all.value = await call(listReferences, { query: { project } }))), { immediate: true })
const picture = computed(() => all.value.find(({ id }) => id === chosen.value)?.picture.sha256)

const sayer = ({ saidBy, stand, says }: AgreementRow, names: ReadonlyMap<string, string>) => `${saidBy.map((id) => (id === 'measures' ? 'measured' : (names.get(id) ?? id))).join(', ')}${stand === 'held' && says ? `; ${says}` : ''}`
/** What was measured and captioned, and the words of the prompt where the picture is a proof. */
watch(chosen, (id) =>
  task(async () => {
    rows.value = undefined
    const reference = all.value.find((one) => one.id === id)
    if (!reference) return
    const { rows: said, captions } = await call(readAgreement, { params: { reference: id } })
    const names = new Map(captions.map(({ model }) => [model.id, model.name]))
    const found = said.map((row): Row => ({ facet: row.facet, text: row.text, by: sayer(row, names), confidence: row.confidence, against: row.stand === 'contradicted' ? `but ${row.says}` : null }))
    if (reference.proofId) {
      reading ??= new ReadingClient(startReadingWorker)
      const proof = await call(readProof, { params: { proof: reference.proofId } })
      const { phrases } = await reading.ask('read', { text: proof.output.text })
      found.unshift(...phrases.map(({ facet, text }): Row => ({ facet, text, by: `its prompt, ${proof.promptTitle}`, confidence: null, against: null })))
    }
    if (chosen.value === id) rows.value = found.filter(({ facet, text }, i, list) => canBeSaidOf(props.body.kind, facet) && list.findIndex((other) => other.text.toLowerCase() === text.toLowerCase()) === i)
  }),
)

const offered = computed(() => {
  const own = rows.value?.map((row) => ({ ...row, fit: fitOf(props.body, row.text) })) ?? []
  const weight = ({ facet, fit }: (typeof own)[number]) => (fit.is === 'said' ? 2 : 0) + (isMadeOf(props.body.kind, facet) ? 0 : 1)
  return own.sort((a, b) => weight(a) - weight(b))
})
const FITS: { [Kind in Fit['is']]: (fit: Extract<Fit, { is: Kind }>) => string } = {
  new: () => '',
  said: ({ by }) => `it says this already: “${by}”`,
  against: ({ by }) => `against “${by}”`,
  never: ({ entry }) => `“${entry}” must never be said`,
}
const fitSaid = (fit: Fit) => (FITS[fit.is] as (one: Fit) => string)(fit)
/** A phrase that would make the part one that cannot be kept is not put. */
function put(next: PartBody): void {
  if (partProblems(next).length <= partProblems(props.body).length) emit('put', next)
}
const always = ({ text }: Row) => put(withPhrase(props.body, text, { always: true }))
const vary = ({ text }: Row, aspect: Aspect) => put(withPhrase(props.body, text, { aspect, name: '' }))
const inPlace = ({ text }: Row, key: string) => put(withPhrase(props.body, text, { inPlaceOf: key }))
</script>

<template>
  <FoldOut class="look" title="Take from a picture">
    <p v-if="!all.length" class="soft">This project has no reference yet. <RouterLink to="/references">Import one</RouterLink>, or keep a proof as a reference.</p>
    <template v-else>
      <p class="from"><img v-if="picture" :src="thumbnailOf(picture)" alt="" /><v-select v-model="chosen" label="Reference to take from" :items="[{ title: 'choose a reference …', value: '' }, ...all.map((one) => ({ title: one.name || 'without a name', value: one.id }))]" /></p>
      <p v-if="chosen && !rows" class="soft" role="status">Reading it …</p>
      <p v-else-if="rows && !offered.length" class="soft">Nothing that is said of it belongs to a {{ body.kind }}. On the References page a helper can be asked to describe it.</p>
      <ul>
        <li v-for="row in offered" :key="row.text" :class="{ quietly: row.fit.is === 'said' || row.fit.is === 'never' }">
          <p><span class="words">{{ row.text }}</span> <span class="soft">{{ row.facet }}; {{ row.by }}{{ row.confidence === null ? '' : `, right in ${Math.round(row.confidence * 100)} %` }}</span></p>
          <p v-if="row.against" class="but">{{ row.against }}</p>
          <p class="row-actions">
            <span v-if="row.fit.is !== 'new'" :class="row.fit.is === 'said' ? 'soft' : 'but'">{{ fitSaid(row.fit) }}</span>
            <v-btn v-if="row.fit.is === 'against'" variant="text" :aria-label="`${row.text}: in place of ${row.fit.by}`" @click="inPlace(row, row.fit.key)">Put it in its place</v-btn>
            <template v-if="row.fit.is === 'new'"><v-btn variant="text" :aria-label="`Always say ${row.text}`" @click="always(row)">Say it always</v-btn><v-btn v-for="aspect in ASPECTS[body.kind]" :key="aspect" variant="text" :aria-label="`${row.text} as ${aspect}`" @click="vary(row, aspect)">as {{ aspect }}</v-btn></template>
          </p>
        </li>
      </ul>
    </template>
  </FoldOut>
</template>

<style scoped>
.look > *:not(summary) {
  margin-top: 8px;
}
.from {
  display: flex;
  gap: 10px;
  align-items: center;
}
.from img {
  width: 72px;
  height: 48px;
  object-fit: cover;
}
li {
  padding: 5px 0;
  border-top: 1px solid var(--rule);
}
.words {
  font-family: var(--serif);
  font-size: 15.5px;
}
li .soft,
.but {
  font-size: 12.5px;
}
.quietly .words {
  color: var(--soft);
}
.but {
  padding-left: 8px;
  border-left: 2px solid var(--accent);
}
</style>
