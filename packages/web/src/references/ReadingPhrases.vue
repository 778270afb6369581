<script setup lang="ts">
import type { ReferenceWhole } from '@idolon/contract'
import { type Borrowed, type Facet, FACETS } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useTask } from '../notices/notices.ts'
import { useEngines } from '../stores/engines.ts'
import { beginFromReading } from './begin-from-reading.ts'

/** The phrases a picture suggests, facet by facet, each to take, change or leave; what is taken begins a prompt. */
const props = defineProps<{ whole: ReferenceWhole; shown: string | undefined }>()
const emit = defineEmits<{ show: [fact: string] }>()
const router = useRouter()
const task = useTask()
const engines = useEngines()

interface Row {
  facet: Facet
  text: string
  confidence: number
  evidence: string
  taken: boolean
  changing: boolean
}
const rows = ref<Row[]>([])
watch(
  () => props.whole.reading,
  (reading) => (rows.value = (reading?.phrases ?? []).map((phrase) => ({ ...phrase, taken: false, changing: false }))),
  { immediate: true },
)
const groups = computed(() => FACETS.flatMap((facet) => (rows.value.some((row) => row.facet === facet) ? [{ facet, rows: rows.value.filter((row) => row.facet === facet) }] : [])))
/** The writer's own subject, in place of the picture's. */
const subject = ref('')
const engineId = ref('')
const engine = computed(() => engines.newest.find(({ id }) => id === engineId.value))

const taken = computed((): Borrowed[] => {
  const own = subject.value.trim()
  return [
    ...(own ? [{ facet: 'subject' as const, text: own }] : []),
    ...rows.value.filter((row) => row.taken && !(own && row.facet === 'subject')).map(({ facet, text }) => ({ facet, text, reference: props.whole.reference.id })),
  ]
})
const saying = computed(() => FACETS.flatMap((facet) => taken.value.filter((one) => one.facet === facet && one.text.trim()).map(({ text }) => text.trim())).join(', '))
function takeFacet(facet: Facet): void {
  const own = rows.value.filter((row) => row.facet === facet)
  const all = own.every((row) => row.taken)
  for (const row of own) row.taken = !all
}
const takeAll = (all: boolean) => {
  for (const row of rows.value) row.taken = all
}
const busy = ref(false)
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
const vFocus = { mounted: (input: HTMLInputElement) => input.focus() }
</script>

<template>
  <section aria-labelledby="phrases-title" class="phrases">
    <h2 id="phrases-title">Phrases it suggests</h2>
    <p v-if="rows.length === 0" class="soft">{{ whole.reading ? 'Nothing in it is settled enough to be said.' : 'They come when the picture is read.' }}</p>
    <template v-else>
      <p class="row-actions">
        <button class="plain" @click="takeAll(true)">Take all</button>
        <button class="plain" @click="takeAll(false)">Take none</button>
      </p>
      <div v-for="group in groups" :key="group.facet" class="group">
        <button class="plain facet" :title="`Take or leave all of ${group.facet}`" @click="takeFacet(group.facet)">{{ group.facet }}</button>
        <ul>
          <li v-for="row in group.rows" :key="row.evidence" :class="{ shown: shown === row.evidence }">
            <input v-if="row.changing" v-model="row.text" v-focus class="field" :aria-label="`${row.facet}, in your words`" @keydown.enter="row.changing = false" @keydown.esc="row.changing = false" @blur="row.changing = false" />
            <button v-else class="words" :class="{ taken: row.taken }" :aria-pressed="shown === row.evidence" title="Show what bears it out" @click="emit('show', row.evidence)">{{ row.text }}</button>
            <span class="soft sure" :title="`Such a phrase is right in ${Math.round(row.confidence * 100)} of 100 pictures`">{{ Math.round(row.confidence * 100) }} %</span>
            <button class="plain" :class="{ strong: !row.taken }" :aria-label="`${row.taken ? 'Leave' : 'Take'} ${row.text}`" @click="row.taken = !row.taken">{{ row.taken ? 'Leave' : 'Take' }}</button>
            <button class="plain" :aria-label="`Change ${row.text}`" @click="row.changing = true">Change</button>
          </li>
        </ul>
      </div>
      <form class="begin" @submit.prevent="begin">
        <label class="labelled"><span>For my subject instead</span><input v-model="subject" class="field" placeholder="as in the picture" /></label>
        <label class="labelled">
          <span>Written for</span>
          <select v-model="engineId" class="field">
            <option value="">no engine in particular</option>
            <option v-for="one in engines.newest" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </label>
        <p v-if="saying" class="saying">{{ saying }}</p>
        <p><button class="do" :disabled="!saying || busy">Begin a prompt with this</button></p>
      </form>
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
  padding: 3px 0;
  text-align: left;
  font-size: 12.5px;
  text-transform: capitalize;
  color: var(--soft);
}
li {
  display: grid;
  grid-template-columns: 1fr auto auto auto;
  gap: 10px;
  align-items: baseline;
  padding: 2px 0 2px 8px;
  border-left: 2px solid transparent;
}
li.shown {
  border-color: var(--accent);
}
.words {
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
  font-size: 12px;
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
