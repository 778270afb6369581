<script setup lang="ts">
import { readAgreement, type ReferenceWhole } from '@idolon/contract'
import { type AgreementRow, type Borrowed, type Facet, FACETS, SWAP_FACET, type SwapPart } from '@idolon/core'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useTask } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import { useGlossary } from '../stores/glossary.ts'
import { beginFromReading } from './begin-from-reading.ts'
import PartFromPhrases from '../series/PartFromPhrases.vue'
import CaptionAsking from './CaptionAsking.vue'
import SwapFields from './SwapFields.vue'
import { vFocusFirst } from '../shared/focus-first.ts'

/** What is said of a picture, facet by facet: who says it and how it stands, each to take, change or leave; what is taken begins a prompt. */
const props = defineProps<{ whole: ReferenceWhole; shown: string | undefined }>()
const emit = defineEmits<{ show: [fact: string] }>()
const router = useRouter()
const task = useTask()
const engines = useEngines()
const glossary = useGlossary()
onMounted(() => void task(() => glossary.load(props.whole.reference.projectId)))

const { data: agreement, load } = usePageData({
  key: () => ['agreement', props.whole.reference.id, props.whole.reference.stage],
  read: (signal) => call(readAgreement, { params: { reference: props.whole.reference.id }, signal }),
  on: ({ kind }) => kind === 'turn',
  keepBefore: true,
})

interface Row extends AgreementRow {
  /** Its words as they came, by which it is known again when more is said. */
  key: string
  taken: boolean
  changing: boolean
}
const rows = ref<Row[]>([])
watch(agreement, (now) => {
  const before = new Map(rows.value.map((row) => [row.key, row]))
  rows.value = (now?.rows ?? []).map((row) => {
    const key = `${row.facet} ${row.text}`
    const known = before.get(key)
    return { ...row, key, text: known?.text ?? row.text, taken: known?.taken ?? false, changing: false }
  })
})
const groups = computed(() => FACETS.flatMap((facet) => (rows.value.some((row) => row.facet === facet) ? [{ facet, rows: rows.value.filter((row) => row.facet === facet) }] : [])))
const engineId = ref('')
const engine = computed(() => engines.newest.find(({ id }) => id === engineId.value))

/** The writer's own words in place of the picture's. */
const swaps = reactive<Record<SwapPart, string>>({ subject: '', dress: '', hour: '', colour: '', medium: '' })
const isSwapped = ({ part }: AgreementRow) => part !== null && swaps[part].trim() !== ''
const taken = computed((): Borrowed[] => [
  ...(Object.entries(swaps) as [SwapPart, string][]).filter(([, text]) => text.trim() !== '').map(([part, text]) => ({ facet: SWAP_FACET[part], text: text.trim() })),
  ...rows.value.filter((row) => row.taken && !isSwapped(row)).map(({ facet, text }) => ({ facet, text, reference: props.whole.reference.id })),
])
const saying = computed(() => FACETS.flatMap((facet) => taken.value.filter((one) => one.facet === facet && one.text.trim()).map(({ text }) => text.trim())).join(', '))
/** What a measure contradicts is taken by its own press only. */
const sound = (row: AgreementRow) => row.stand !== 'contradicted'
function takeFacet(facet: Facet): void {
  const own = rows.value.filter((row) => row.facet === facet && sound(row))
  const all = own.every((row) => row.taken)
  for (const row of own) row.taken = !all
}
const takeAll = (all: boolean) => {
  for (const row of rows.value) row.taken = all && sound(row)
}
/** The rest of the picture stays when a part of it is swapped. */
const swap = (part: SwapPart, text: string) => {
  if (text.trim() && !rows.value.some((row) => row.taken)) for (const row of rows.value) row.taken = row.stand === 'measured' || row.stand === 'held'
  swaps[part] = text
}
const names = computed(() => new Map(agreement.value?.captions.map(({ model }) => [model.id, model.name])))
const sayers = ({ saidBy }: AgreementRow) => saidBy.map((id) => (id === 'measures' ? 'measured' : (names.value.get(id) ?? id))).join(', ')
const sure = ({ stand, confidence }: AgreementRow) =>
  confidence === null ? 'Nothing is known of how often whoever says it is right' : stand === 'contradicted' ? 'What a measure contradicts is right this often' : stand === 'unmeasured' ? 'Whoever says it was right this often where it could be measured' : 'Such a phrase is right in so many of 100 pictures'
/** A term of the trade in it that the glossary explains. */
const TRADE = new Set<Facet>(['framing', 'light', 'colour', 'medium', 'technique'])
const termIn = ({ facet, text }: AgreementRow) => (TRADE.has(facet) ? glossary.glossary?.saidIn(text)[0]?.value.find((term) => TRADE.has(term.facet)) : undefined)
const busy = ref(false)
const makingPart = ref(false)
const begin = () =>
  task(async () => {
    busy.value = true
    try {
      const prompt = await beginFromReading(props.whole.reference.projectId, taken.value, engine.value)
      await router.push(`/desk/${prompt.id}`)
    } finally {
      busy.value = false
    }
  })
</script>

<template>
  <section aria-labelledby="phrases-title" class="phrases">
    <h2 id="phrases-title">What is said of it</h2>
    <CaptionAsking :reference="whole.reference" :agreement="agreement" @asked="load" />
    <p v-if="rows.length === 0" class="soft">{{ whole.reading ? 'Nothing in it is settled enough to be said.' : 'Phrases come when the picture is read.' }}</p>
    <template v-else>
      <p class="row-actions">
        <v-btn variant="text" @click="takeAll(true)">Accept all that nothing contradicts</v-btn>
        <v-btn variant="text" @click="takeAll(false)">Accept none</v-btn>
      </p>
      <div v-for="group in groups" :key="group.facet" class="group">
        <v-btn v-tooltip="`Accept or reject all of ${group.facet}`" variant="text" class="facet" @click="takeFacet(group.facet)">{{ group.facet }}</v-btn>
        <ul>
          <li v-for="row in group.rows" :key="row.key" :class="{ shown: row.evidence && shown === row.evidence }">
            <v-text-field v-if="row.changing" v-model="row.text" v-focus-first :label="`${row.facet}, in your words`" @keydown.enter="row.changing = false" @keydown.esc="row.changing = false" @blur="row.changing = false" />
            <v-btn v-else-if="row.evidence" v-tooltip="'Show what was measured'" variant="text" :class="{ taken: row.taken && !isSwapped(row) }" :aria-pressed="shown === row.evidence" class="words lines" @click="emit('show', row.evidence)">{{ row.text }}</v-btn>
            <span v-else class="words" :class="{ taken: row.taken && !isSwapped(row) }">{{ row.text }}</span>
            <span class="soft sure" :title="sure(row)">{{ row.confidence === null ? '' : `${Math.round(row.confidence * 100)} %` }}</span>
            <v-btn variant="text" :class="{ strong: !row.taken && sound(row) }" :aria-label="`${row.taken ? 'Reject' : 'Accept'} ${row.text}`" @click="row.taken = !row.taken">{{ row.taken ? 'Reject' : 'Accept' }}</v-btn>
            <v-btn variant="text" :aria-label="`Change ${row.text}`" @click="row.changing = true">Change</v-btn>
            <p class="says soft">
              {{ sayers(row) }}<template v-if="row.stand === 'held'">; {{ row.says }}</template><span v-else-if="row.stand === 'contradicted'" class="but">, but {{ row.says }}</span><template v-else-if="row.stand === 'unmeasured'">; nobody measured it</template><template v-if="isSwapped(row)">; yours stands in its place</template><template v-for="term in termIn(row) ? [termIn(row)!] : []" :key="term.term">&nbsp;<RouterLink class="asks" :to="{ path: '/glossary', query: { term: term.term } }" :title="term.does" :aria-label="`${term.term} in the glossary`">?</RouterLink></template>
            </p>
          </li>
        </ul>
      </div>
      <SwapFields :swaps="swaps" @swap="swap" />
      <form class="begin" @submit.prevent="begin">
        <v-select v-model="engineId" label="Written for" :items="[{ title: 'no engine in particular', value: '' }, ...engines.newest.map((one) => ({ title: one.name, value: one.id }))]" />
        <p v-if="saying" class="saying">{{ saying }}</p>
        <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="!saying || busy" type="submit">Begin a prompt with this</v-btn><v-btn :disabled="!saying" @click="makingPart = true">Make a character, place or style</v-btn></p>
      </form>
      <PartFromPhrases v-if="makingPart" :phrases="taken" :project-id="whole.reference.projectId" :from="`the reference “${whole.reference.name || 'without a name'}”`" :picture="whole.reference.picture.sha256" @close="makingPart = false" />
    </template>
  </section>
</template>

<style scoped>
.phrases {
  display: grid;
  gap: 8px;
  align-content: start;
}
.group {
  display: grid;
  grid-template-columns: 78px 1fr;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 4px;
}
.facet {
  align-self: start;
  justify-content: start;
  padding: 3px 0 !important;
  text-align: left;
  font-size: 12.5px;
  text-transform: capitalize;
  color: var(--soft);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 0 10px;
  align-items: baseline;
  padding: 2px 0 2px 8px;
  border-left: 2px solid transparent;
}
li.shown {
  border-color: var(--accent);
}
.words {
  grid-column: 1 / -2;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  font-family: var(--serif);
  font-size: 16px;
  cursor: pointer;
}
.words.taken {
  background: var(--added);
}
.sure {
  grid-column: -2;
  font-size: 12px;
}
.says {
  grid-column: 1;
  grid-row: 2;
  margin: 0;
  font-size: 12px;
}
.asks {
  padding: 2px 6px;
}
.but {
  color: var(--accent);
}
.begin {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  padding-top: 12px;
  border-top: 1px solid var(--rule-strong);
}
.saying {
  width: 100%;
  font-family: var(--serif);
  font-size: 16px;
}
</style>
