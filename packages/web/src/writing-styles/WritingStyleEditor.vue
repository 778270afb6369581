<script setup lang="ts">
import { FACETS, type Facet, type WritingStyleBody, type StyleFacet } from '@idolon/core'
import { computed, ref } from 'vue'
import { useProjects } from '../stores/projects.ts'
import { between, needed, type Rule, whole } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'
import ChoiceMenu from '../shared/ChoiceMenu.vue'

/** What a writing style is, to be read and corrected: order, length, what is always said, favourite terms, punctuation. */
const props = defineProps<{ body: WritingStyleBody; projectId: string | null; isNew: boolean }>()
const emit = defineEmits<{ save: [body: WritingStyleBody, projectId: string | null]; cancel: [] }>()
const projects = useProjects()
const body = ref<WritingStyleBody>(structuredClone(props.body))
const project = ref(props.projectId ?? '')
const SEPARATORS = [[', ', 'commas'], ['; ', 'semicolons'], ['. ', 'full stops'], [' | ', 'upright strokes'], ['\n', 'line ends']] as const
const unsaid = computed(() => FACETS.filter((facet) => !body.value.facets.some((one) => one.facet === facet)))
const always = computed({
  get: () => body.value.always.map(({ text }) => text).join('\n'),
  set: (text: string) => (body.value.always = [...new Set(text.split('\n').map((line) => line.trim().slice(0, 300)).filter(Boolean))].slice(0, 40).map((line) => ({ text: line, facet: body.value.always.find((one) => one.text === line)?.facet ?? 'detail' }))),
})
function change(facet: Facet, more: Partial<StyleFacet>): void {
  body.value.facets = body.value.facets.map((one) => (one.facet === facet ? { ...one, ...more } : one))
}
function move(place: number, by: number): void {
  const list = [...body.value.facets]
  const [one] = list.splice(place, 1)
  if (one) list.splice(Math.max(0, place + by), 0, one)
  body.value.facets = list
}
const terms = (facet: Facet, text: string) => change(facet, { terms: [...new Set(text.split(';').map((one) => one.trim().slice(0, 300)).filter(Boolean))].slice(0, 40) })
function addFacet(name: string): void {
  const facet = FACETS.find((one) => one === name)
  if (facet) body.value.facets = [...body.value.facets, { facet, share: 1, words: 2, joined: false, terms: [] }]
}
/** Lengths go up: shortest, usual, longest. */
const noLess = (than: 'low' | 'middle'): Rule => (value) => Number(value) >= Number(body.value.words[than]) || `No less than the ${than === 'low' ? 'shortest' : 'usual'}.`
const length = [needed, whole, between(1, 2000)]
const { check, whenSound } = useFormCheck()
const save = whenSound(() => emit('save', { ...body.value, name: body.value.name.trim() }, project.value || null))
</script>

<template>
  <v-form ref="check" class="styled" @submit.prevent="save">
    <div class="pair">
      <v-text-field v-model="body.name" label="Name" maxlength="120" :rules="[needed]" />
      <v-select v-model="project" label="For" :items="[{ title: 'all projects', value: '' }, ...projects.open.map((one) => ({ title: one.name, value: one.id }))]" />
      <v-select v-model="body.style" label="Written as" :items="[{ title: 'a list', value: 'list' }, 'sentences']" />
      <v-select v-if="body.style === 'list'" v-model="body.separator" label="Between its parts" :items="SEPARATORS.map(([sign, name]) => ({ title: name, value: sign }))" />
    </div>
    <div class="pair">
      <v-text-field v-model.number="body.words.low" label="Shortest, in words" type="number" min="1" max="2000" :rules="length" />
      <v-text-field v-model.number="body.words.middle" label="Usual length, in words" type="number" min="1" max="2000" :rules="[...length, noLess('low')]" />
      <v-text-field v-model.number="body.words.high" label="Longest, in words" type="number" min="1" max="2000" :rules="[...length, noLess('middle')]" />
    </div>
    <p v-if="body.style === 'list'" class="row-actions"><v-checkbox v-model="body.capital" label="begins with a capital" /><v-checkbox v-model="body.stop" label="ends with a full stop" /></p>
    <v-table>
      <thead><tr><th scope="col">In this order</th><th scope="col">How often</th><th scope="col">Favourite terms, with semicolons</th><th scope="col"><span class="visually-hidden">Move</span></th></tr></thead>
      <tbody>
        <tr v-for="(one, i) in body.facets" :key="one.facet">
          <th scope="row">{{ one.facet }}</th>
          <td><v-text-field :aria-label="`How often ${one.facet} is said, in a hundred`" type="number" min="0" max="100" step="5" :model-value="Math.round(one.share * 100)" class="number" @change="change(one.facet, { share: Math.min(1, Math.max(0, Number(($event.target as HTMLInputElement).value) / 100 || 0)) })" /> %</td>
          <td><v-text-field :aria-label="`Favourite terms for ${one.facet}`" :model-value="one.terms.join('; ')" class="terms" @change="terms(one.facet, ($event.target as HTMLInputElement).value)" /></td>
          <td><span class="row-actions moves"><v-btn variant="text" :disabled="i === 0" :aria-label="`${one.facet} earlier`" @click="move(i, -1)">Up</v-btn><v-btn variant="text" :disabled="i === body.facets.length - 1" :aria-label="`${one.facet} later`" @click="move(i, 1)">Down</v-btn><v-btn variant="text" :aria-label="`Never ${one.facet}`" @click="body.facets = body.facets.filter((other) => other !== one)">Remove</v-btn></span></td>
        </tr>
      </tbody>
    </v-table>
    <p v-if="unsaid.length"><ChoiceMenu label="Say another facet" :items="unsaid.map((facet) => ({ title: facet, value: facet }))" @choose="addFacet" /></p>
    <v-textarea v-model.lazy="always" label="Always said, word for word, one a line" rows="3" auto-grow class="always" />
    <p class="row-actions"><v-btn color="primary" variant="flat" type="submit">{{ isNew ? 'Save the writing style' : 'Save as a correction' }}</v-btn><v-btn @click="emit('cancel')">Cancel</v-btn></p>
  </v-form>
</template>

<style scoped>
.styled {
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
