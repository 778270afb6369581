<script setup lang="ts">
import { FACETS, type Facet, type MannerBody, type MannerFacet } from '@idolon/core'
import { computed, ref } from 'vue'
import { useProjects } from '../stores/projects.ts'

/** What a manner is, to be read and corrected: order, length, what is always said, favourite terms, punctuation. */
const props = defineProps<{ body: MannerBody; projectId: string | null; isNew: boolean }>()
const emit = defineEmits<{ save: [body: MannerBody, projectId: string | null]; cancel: [] }>()
const projects = useProjects()
const body = ref<MannerBody>(structuredClone(props.body))
const project = ref(props.projectId ?? '')
const SEPARATORS = [[', ', 'commas'], ['; ', 'semicolons'], ['. ', 'full stops'], [' | ', 'upright strokes'], ['\n', 'line ends']] as const
const unsaid = computed(() => FACETS.filter((facet) => !body.value.facets.some((one) => one.facet === facet)))
const always = computed({
  get: () => body.value.always.map(({ text }) => text).join('\n'),
  set: (text: string) => (body.value.always = [...new Set(text.split('\n').map((line) => line.trim().slice(0, 300)).filter(Boolean))].slice(0, 40).map((line) => ({ text: line, facet: body.value.always.find((one) => one.text === line)?.facet ?? 'detail' }))),
})
function change(facet: Facet, more: Partial<MannerFacet>): void {
  body.value.facets = body.value.facets.map((one) => (one.facet === facet ? { ...one, ...more } : one))
}
function move(place: number, by: number): void {
  const list = [...body.value.facets]
  const [one] = list.splice(place, 1)
  if (one) list.splice(Math.max(0, place + by), 0, one)
  body.value.facets = list
}
const terms = (facet: Facet, text: string) => change(facet, { terms: [...new Set(text.split(';').map((one) => one.trim().slice(0, 300)).filter(Boolean))].slice(0, 40) })
function addFacet(select: HTMLSelectElement): void {
  const facet = FACETS.find((one) => one === select.value)
  select.value = ''
  if (facet) body.value.facets = [...body.value.facets, { facet, share: 1, words: 2, joined: false, terms: [] }]
}
const rising = computed(() => body.value.words.low <= body.value.words.middle && body.value.words.middle <= body.value.words.high)
const save = () => body.value.name.trim() && rising.value && emit('save', { ...body.value, name: body.value.name.trim() }, project.value || null)
</script>

<template>
  <form class="manner" @submit.prevent="save">
    <div class="pair">
      <label class="labelled"><span>Name</span><input v-model="body.name" class="field" maxlength="120" required /></label>
      <label class="labelled"><span>For</span><select v-model="project" class="field"><option value="">all projects</option><option v-for="one in projects.open" :key="one.id" :value="one.id">{{ one.name }}</option></select></label>
      <label class="labelled"><span>Written as</span><select v-model="body.style" class="field"><option value="list">a list</option><option value="sentences">sentences</option></select></label>
      <label v-if="body.style === 'list'" class="labelled"><span>Between its parts</span><select v-model="body.separator" class="field"><option v-for="[sign, name] in SEPARATORS" :key="name" :value="sign">{{ name }}</option></select></label>
    </div>
    <p class="row-actions">
      <span>Words: shortest <input v-model.number="body.words.low" class="field number" type="number" min="1" max="2000" aria-label="Shortest, in words" /> usual <input v-model.number="body.words.middle" class="field number" type="number" min="1" max="2000" aria-label="Usual length, in words" /> longest <input v-model.number="body.words.high" class="field number" type="number" min="1" max="2000" aria-label="Longest, in words" /></span>
      <template v-if="body.style === 'list'"><label><input v-model="body.capital" type="checkbox" /> begins with a capital</label><label><input v-model="body.stop" type="checkbox" /> ends with a full stop</label></template>
    </p>
    <p v-if="!rising" class="problem" role="alert">Lengths go up: shortest, usual, longest.</p>
    <table>
      <thead><tr><th scope="col">In this order</th><th scope="col">How often</th><th scope="col">Favourite terms, with semicolons</th><th scope="col"><span class="visually-hidden">Move</span></th></tr></thead>
      <tbody>
        <tr v-for="(one, i) in body.facets" :key="one.facet">
          <th scope="row">{{ one.facet }}</th>
          <td><input class="field number" type="number" min="0" max="100" step="5" :value="Math.round(one.share * 100)" :aria-label="`How often ${one.facet} is said, in a hundred`" @change="change(one.facet, { share: Math.min(1, Math.max(0, Number(($event.target as HTMLInputElement).value) / 100 || 0)) })" /> %</td>
          <td><input class="field terms" :value="one.terms.join('; ')" :aria-label="`Favourite terms for ${one.facet}`" @change="terms(one.facet, ($event.target as HTMLInputElement).value)" /></td>
          <td><span class="row-actions moves"><button type="button" class="plain" :disabled="i === 0" :aria-label="`${one.facet} earlier`" @click="move(i, -1)">Up</button><button type="button" class="plain" :disabled="i === body.facets.length - 1" :aria-label="`${one.facet} later`" @click="move(i, 1)">Down</button><button type="button" class="plain" :aria-label="`Never ${one.facet}`" @click="body.facets = body.facets.filter((other) => other !== one)">Leave out</button></span></td>
        </tr>
      </tbody>
    </table>
    <p v-if="unsaid.length"><select class="field" aria-label="Say another facet" @change="addFacet($event.target as HTMLSelectElement)"><option value="">Say another facet …</option><option v-for="facet in unsaid" :key="facet">{{ facet }}</option></select></p>
    <label class="labelled"><span>Always said, word for word, one a line</span><textarea v-model.lazy="always" class="field always" rows="3" /></label>
    <p class="row-actions"><button class="do" :disabled="!body.name.trim() || !rising">{{ isNew ? 'Keep the manner' : 'Keep the correction' }}</button><button type="button" class="quiet" @click="emit('cancel')">Leave it</button></p>
  </form>
</template>

<style scoped>
.manner {
  display: grid;
  gap: 10px;
}
.pair {
  display: grid;
  grid-template-columns: 1.6fr repeat(3, 1fr);
  gap: 12px;
}
.number {
  width: 70px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 2px 12px 2px 0;
  border-bottom: 1px solid var(--rule);
  text-align: left;
}
thead th {
  font-size: 12px;
  font-weight: 400;
  color: var(--soft);
}
td:nth-child(3) {
  width: 100%;
}
td:nth-child(2) {
  white-space: nowrap;
}
.moves {
  flex-wrap: nowrap;
}
.terms,
.always {
  width: 100%;
  font-family: var(--serif);
  font-size: 15px;
}
.problem {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
</style>
