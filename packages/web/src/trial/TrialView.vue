<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { type Prompt, readPrompt, readSheetLists, readTemplateWhole, startTrial } from '@idolon/contract'
import { type Combinations, type EngineChoice, type Facet, factorName, MAX_COMBINATIONS, MAX_SEED, optionName, type Phrase, type SettingValue, sheetPlaces, TERMS_BY_FACET, type TrialBody } from '@idolon/core'
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { messageOf } from '../api/problem.ts'
import { useTask } from '../notices/notices.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { usePhrases } from '../stores/phrases.ts'
import FrameText from '../templates/FrameText.vue'
import { freeNameFor, nameOf, planOf, priceOf, type TrialSetup, type Varied, withOptions, withoutVaried } from './trial-setup.ts'
import VariedRow from './VariedRow.vue'
import { useFormCheck } from '../shared/form-check.ts'
import ChoiceMenu from '../shared/ChoiceMenu.vue'
import NumberField from '../shared/NumberField.vue'

/** Sets up a trial plan over a draft: what varies, which combinations are tried, what that costs; and starts it. */
const route = useRoute()
const router = useRouter()
const task = useTask()
const engines = useEngines()
const projectPhrases = usePhrases()
const reading = new ReadingClient(startReadingWorker)
onScopeDispose(() => reading.stop())
const promptId = String(route.params['prompt'])

const prompt = shallowRef<Prompt>()
const phrases = shallowRef<Phrase[]>([])
/** Options of a template's slots, by the place of the draft that each fills. */
const slotOptions = shallowRef<{ from: number; to: number; name: string; options: string[] }[]>([])
const setup = shallowRef<TrialSetup>({ varied: [], way: { kind: 'pairs' }, never: [], count: 1 })
const planName = ref('')
/** The combinations, with the plan that they are of. */
const found = shallowRef<{ plan: TrialBody; combos: Combinations }>()
const combos = computed(() => found.value?.combos)
const starting = ref(false)
const problem = ref('')

void task(async () => {
  await engines.load()
  const read = await call(readPrompt, { params: { prompt: promptId } })
  prompt.value = read
  planName.value = read.title
  void projectPhrases.load(read.projectId)
  phrases.value = (await reading.ask('read', { text: read.draft.text })).phrases
  const sheet = route.query['sheet']
  if (typeof sheet === 'string') {
    for (const { start, end, name, options } of sheetPlaces(read.draft.text, await call(readSheetLists, { params: { part: sheet } }))) addWords(start, end, name, options)
    setup.value = { ...setup.value, way: { kind: 'one-at-a-time' } }
  }
  if (!read.template) return
  const { template } = await call(readTemplateWhole, { params: { template: read.template.id } })
  slotOptions.value = read.draft.marks.flatMap((mark) => {
    if (mark.kind !== 'from' || mark.source.type !== 'slot') return []
    const name = mark.source.id.slice(template.id.length + 1)
    const slot = template.body.slots.find((one) => one.name === name)
    return slot ? [{ from: mark.from, to: mark.to, name, options: slot.options }] : []
  })
  if (route.query['vary'] === 'slots') for (const { from, to, name, options } of slotOptions.value.filter(({ options: own }) => own.length > 1)) addWords(from, to, name, options)
})

const text = computed(() => prompt.value?.draft.text ?? '')
const taken = (start: number, end: number) => setup.value.varied.some((one) => one.kind === 'words' && one.start < end && one.end > start)
const free = computed(() => phrases.value.filter(({ start, end }) => !taken(start, end)))
const settings = computed(() => {
  const asked = (prompt.value?.draft.engines ?? []).flatMap(({ engine, revision }) => engines.find(engine, revision) ?? [])
  const known = new Map<string, SettingValue[]>()
  const ratios = [...new Set(asked.flatMap((profile) => profile.sizes.map(({ aspectRatio }) => aspectRatio)))]
  if (ratios.length > 1) known.set('aspectRatio', ratios)
  for (const profile of asked) for (const setting of profile.settings) if (!known.has(setting.key)) known.set(setting.key, setting.kind === 'choice' ? [...setting.values] : [setting.min, Number(((setting.min + setting.max) / 2).toFixed(2)), setting.max])
  return [...known].filter(([key]) => key !== 'seed' && !setup.value.varied.some((one) => one.kind === 'setting' && one.key === key))
})
const askable = computed(() => engines.profiles.filter((profile) => engines.isConnected(profile)))
const hasEngine = computed(() => setup.value.varied.some(({ kind }) => kind === 'engine'))

const facetAt = (start: number, end: number): Facet => phrases.value.find((phrase) => phrase.start < end && phrase.end > start)?.facet ?? 'subject'
function addWords(start: number, end: number, name: string, options: readonly string[] = []): void {
  if (taken(start, end)) return
  const facet = facetAt(start, end)
  const said = text.value.slice(start, end)
  const one: Varied = { kind: 'words', start, end, facet, name: freeNameFor(name, setup.value.varied), options: [...new Set([said, ...options])].slice(0, 60) }
  setup.value = { ...setup.value, varied: [...setup.value.varied, one] }
}
function addPhrase(at: string): void {
  const phrase = phrases.value.find(({ start }) => String(start) === at)
  if (!phrase) return
  // Of a draft that was made from a template the whole of the slot varies, with its options.
  const slot = slotOptions.value.find(({ from, to }) => from < phrase.end && to > phrase.start)
  if (slot) addWords(slot.from, slot.to, slot.name, slot.options)
  else addWords(phrase.start, phrase.end, phrase.facet)
}
function addEngines(): void {
  const own = (prompt.value?.draft.engines ?? []).map(({ settings: _, ...choice }) => choice)
  const more = engines.newest.filter((profile) => engines.isConnected(profile) && !own.some(({ engine }) => engine === profile.id)).map(({ id, revision }): EngineChoice => ({ engine: id, revision }))
  setup.value = { ...setup.value, varied: [...setup.value.varied, { kind: 'engine', options: [...own, ...more].slice(0, Math.max(2, own.length)) }] }
}
function addSetting(wanted: string): void {
  const found = settings.value.find(([key]) => key === wanted)
  if (!found) return
  const [key, values] = found
  const now = prompt.value?.draft.settings[key]
  setup.value = { ...setup.value, varied: [...setup.value.varied, { kind: 'setting', key, options: [...new Set([...(now === undefined ? [] : [now]), ...values])].slice(0, 8) }] }
}
const offeredFor = (one: Varied): string[] => {
  if (one.kind !== 'words') return []
  const slot = slotOptions.value.find(({ from }) => from === one.start)
  return [...new Set([...(slot?.options ?? []), ...projectPhrases.all.filter(({ facet }) => facet === one.facet).map((phrase) => phrase.text), ...TERMS_BY_FACET[one.facet].slice(0, 120)])]
}
function rename(place: number, name: string): void {
  const one = setup.value.varied[place]!
  const clean = name.replace(/[^\p{L}\p{N} _-]/gu, '').trim().slice(0, 60)
  if (one.kind === 'words' && /^\p{L}/u.test(clean)) setup.value = { ...setup.value, varied: setup.value.varied.with(place, { ...one, name: freeNameFor(clean, setup.value.varied.filter((_, i) => i !== place)) }) }
}

const engineName = (choice: EngineChoice) => {
  const profile = engines.find(choice.engine, choice.revision)
  return profile ? `${profile.name} ${profile.revision}` : choice.engine
}
const body = computed(() => planOf(planName.value.trim(), text.value, setup.value, typeof prompt.value?.draft.settings['seed'] === 'number' ? Math.abs(Math.trunc(prompt.value.draft.settings['seed'])) : undefined))
const whole = computed(() => setup.value.varied.length > 0 && setup.value.varied.every(({ options }) => options.length > 1))
let asked = 0
watch([body, whole], async () => {
  const mine = ++asked
  const plan = toRaw(body.value)
  const { factors, way, skip } = plan
  const answer = whole.value ? { plan, combos: await reading.ask('combinations', { factors, way, skip }) } : undefined
  if (mine === asked) found.value = answer
}, { immediate: true })
const price = computed(() =>
  found.value && prompt.value
    ? priceOf(found.value.combos.rows, found.value.plan, prompt.value.draft, ({ engine, revision }) => engines.find(engine, revision), (profile) => {
        const known = engines.all.find((one) => one.profile.id === profile.id && one.profile.revision === profile.revision)
        return { ms: known?.usage.medianMs ?? 2_000, atOnce: profile.connection?.concurrency ?? 4 }
      })
    : undefined,
)
const minutes = (ms: number) => (ms < 90_000 ? counted(Math.max(1, Math.round(ms / 1000)), 'second') : counted(Math.round(ms / 60_000), 'minute'))
const parts = computed(() => {
  const words = setup.value.varied.filter((one) => one.kind === 'words').toSorted((x, y) => x.start - y.start)
  let last = 0
  const runs = words.flatMap((one) => {
    const pair = [{ words: text.value.slice(last, one.start), slot: '' }, { words: text.value.slice(one.start, one.end), slot: one.name }]
    last = one.end
    return pair
  })
  return [...runs, { words: text.value.slice(last), slot: '' }].filter((part) => part.words)
})
/** The combinations in the order in which they are asked for; one column a thing that varies. */
const orderHeaders = computed(() => [{ title: '#', key: 'place', cellProps: { role: 'rowheader' } }, ...(found.value?.plan.factors ?? []).map((factor, f) => ({ title: factorName(factor), key: `option${f}` }))])
const orderRows = computed(() => (found.value ? found.value.combos.rows.map((row, r) => ({ place: r + 1, ...Object.fromEntries(row.map((option, f) => [`option${f}`, optionName(found.value!.plan.factors[f]!, option, engineName)])) })) : []))
const optionOf = (place: number, option: number) => optionName(body.value.factors[place]!, option, engineName)

function addNever(): void {
  if (setup.value.varied.length > 1) setup.value = { ...setup.value, never: [...setup.value.never, { a: [0, 0], b: [1, 0] }] }
}
function setNever(place: number, side: 'a' | 'b', value: string): void {
  const [varied = 0, option = 0] = value.split(' ').map(Number)
  setup.value = { ...setup.value, never: setup.value.never.with(place, { ...setup.value.never[place]!, [side]: [varied, option] }) }
}
const setWay = (kind: string) => {
  setup.value = { ...setup.value, way: kind === 'sample' ? { kind, count: Math.min(24, combos.value?.all ?? 24), seed: 1 } : { kind: kind as 'all' } }
}
const setSample = (change: { count?: number; seed?: number }) => {
  const { way } = setup.value
  if (way.kind === 'sample') setup.value = { ...setup.value, way: { ...way, ...change } }
}
const WAYS = [
  ['pairs', 'every two options together at least once, in few tries'],
  ['all', 'every combination'],
  ['one-at-a-time', 'one thing at a time, from the first option of each'],
  ['sample', 'a sample of all combinations'],
] as const

const { check, whenSound } = useFormCheck()
const start = whenSound(async () => {
  if (!prompt.value || starting.value) return
  starting.value = true
  problem.value = ''
  try {
    const id = crypto.randomUUID()
    await call(startTrial, { params: { prompt: promptId }, body: { id, revision: prompt.value.revision, body: body.value } })
    await router.push({ path: '/proofs/sheet', query: { trial: id } })
  } catch (error) {
    problem.value = messageOf(error)
  }
  starting.value = false
})
</script>

<template>
  <main class="page trial">
    <header>
      <h1 class="view-title">Trial plan <span v-if="prompt" class="scope">of <RouterLink :to="`/desk/${promptId}`">{{ prompt.title }}</RouterLink></span></h1>
    </header>
    <div v-if="prompt" class="columns">
      <section aria-labelledby="varies-title">
        <FrameText :parts="parts" />
        <h2 id="varies-title">What varies</h2>
        <p v-if="setup.varied.length === 0" class="soft">Nothing yet. Choose a phrase, the engine or a setting; what stands there now is its first option.</p>
        <ul>
          <VariedRow v-for="(one, i) in setup.varied" :key="one.kind === 'words' ? `w${one.start}` : nameOf(one)" :varied="one" :offered="offeredFor(one)" :profiles="askable" @options="setup = withOptions(setup, i, $event)" @rename="rename(i, $event)" @remove="setup = withoutVaried(setup, i)" />
        </ul>
        <p class="row-actions more">
          <ChoiceMenu label="Vary a phrase" variant="outlined" :items="free.map((phrase) => ({ title: phrase.text.slice(0, 60), value: String(phrase.start), detail: phrase.facet }))" @choose="addPhrase" />
          <v-btn :prepend-icon="mdiPlus" :disabled="hasEngine || askable.length < 2" @click="addEngines">Vary the engine</v-btn>
          <ChoiceMenu label="Vary a setting" variant="outlined" :items="settings.map(([key]) => ({ title: key, value: key }))" @choose="addSetting" />
        </p>
      </section>
      <v-form ref="check" class="how" aria-labelledby="how-title" @submit.prevent="start">
        <h2 id="how-title">What is tried</h2>
        <v-radio-group :model-value="setup.way.kind" aria-labelledby="how-title" @update:model-value="setWay(String($event))">
          <v-radio v-for="[kind, says] in WAYS" :key="kind" :label="says" :value="kind" />
        </v-radio-group>
        <p v-if="setup.way.kind === 'sample'" class="row-actions">
          <NumberField label="Of" :min="1" :max="MAX_COMBINATIONS" integer :value="setup.way.count" class="number" @set="$event !== undefined && setSample({ count: $event })" />
          <NumberField label="Drawn by" :min="0" :max="MAX_SEED" integer :value="setup.way.seed" class="number" @set="$event !== undefined && setSample({ seed: $event })" />
        </p>
        <NumberField label="Results of each" :min="1" :max="8" integer :value="setup.count" class="number" @set="$event !== undefined && (setup = { ...setup, count: $event })" />
        <h2>Never together</h2>
        <ul class="nevers">
          <li v-for="(rule, i) in setup.never" :key="i">
            <template v-for="side in (['a', 'b'] as const)" :key="side">
              <v-select :label="side === 'a' ? 'Never' : 'with'" :model-value="rule[side].join(' ')" :items="setup.varied.flatMap((one, v) => one.options.map((_, o) => ({ title: `${nameOf(one)}: ${optionOf(v, o)}`, value: `${v} ${o}` })))" @update:model-value="setNever(i, side, $event)" />
            </template>
            <v-btn variant="text" @click="setup = { ...setup, never: setup.never.filter((__, k) => k !== i) }">Remove</v-btn>
          </li>
        </ul>
        <p><v-btn variant="text" :disabled="setup.varied.length < 2" @click="addNever">Skip two options together</v-btn></p>
        <div class="price" role="status">
          <template v-if="combos && price">
            <p v-if="combos.problem" class="problem">{{ combos.problem }}</p>
            <p><strong>{{ counted(combos.rows.length, 'combination') }}</strong> of {{ combos.all.toLocaleString('en') }}<template v-if="combos.least !== undefined && setup.way.kind === 'pairs'">; fewer than {{ combos.least }} cannot have every pair</template></p>
            <p>{{ counted(price.pictures, 'picture') }}, {{ sayAmounts(price.cost) }}, about {{ minutes(price.ms) }}</p>
          </template>
          <p v-else class="soft">{{ setup.varied.length ? 'Give each at least two options.' : 'Choose what varies.' }}</p>
        </div>
        <v-text-field v-model="planName" label="Name of the plan" maxlength="120" />
        <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="!combos || !!combos.problem || starting" type="submit">Start {{ price ? counted(price.pictures, 'picture') : '' }}</v-btn></p>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </v-form>
      <section v-if="combos && combos.rows.length" class="rows" aria-labelledby="rows-title">
        <h2 id="rows-title">In this order</h2>
        <v-data-table-virtual :headers="orderHeaders" :items="orderRows" :height="Math.min(300, 40 + 36 * orderRows.length)" item-value="place" class="order" />
      </section>
    </div>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 14px 40px;
  align-items: start;
  margin-top: 12px;
}
section h2 {
  margin: 14px 0 4px;
}
.how {
  position: sticky;
  top: 16px;
  display: grid;
  gap: 10px;
}
.how h2:first-child {
  margin-top: 0;
}
.number {
  width: 150px;
}
.nevers {
  display: grid;
  gap: 6px;
}
.nevers li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr) auto;
  gap: 6px;
  align-items: baseline;
}
.price {
  padding: 8px 12px;
  border-left: 2px solid var(--rule-strong);
}
.problem {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
.more {
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
.rows {
  grid-column: 1 / -1;
}
.order {
  font-family: var(--serif);
}
</style>
