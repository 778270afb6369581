<script setup lang="ts">
import { promptsBreakingRules, type TouchedPrompt } from '@idolon/contract'
import { FACETS, type Facet, type HouseRules, ruleConflicts } from '@idolon/core'
import { computed, reactive, ref, watch } from 'vue'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { useRules } from '../stores/rules.ts'

/** What every prompt of a project must say and must never say; a changed rule lists the prompts it touches. */
const props = defineProps<{ project: string }>()
const store = useRules()
const engines = useEngines()
const notices = useNotices()
const task = useTask()

const form = reactive({ must: '', facets: [] as Facet[], never: '', leaveOut: '', colours: [] as { name: string; value: string }[], engine: '', aspectRatio: '' })
const lines = (list: string) => [...new Set(list.split('\n').map((one) => one.trim().slice(0, 200)).filter(Boolean))]
const words = (list: string) => [...new Set(list.split(/[,\n]/).map((one) => one.trim().slice(0, 200)).filter(Boolean))]
/** The form as it was last saved or shown. */
const saved = ref('')
const rulesOfForm = (): HouseRules => ({
  must: [...lines(form.must).map((phrase) => ({ phrase })), ...FACETS.filter((facet) => form.facets.includes(facet)).map((facet) => ({ facet }))],
  never: words(form.never),
  leaveOut: words(form.leaveOut),
  colours: form.colours.map(({ name, value }) => ({ name: name.trim(), value })).filter(({ name }) => name),
  ...(form.engine ? { engine: form.engine } : {}),
  ...(form.aspectRatio ? { aspectRatio: form.aspectRatio } : {}),
})
function show(rules: HouseRules): void {
  form.must = rules.must.flatMap((rule) => ('phrase' in rule ? [rule.phrase] : [])).join('\n')
  form.facets = rules.must.flatMap((rule) => ('facet' in rule ? [rule.facet] : []))
  form.never = rules.never.join(', ')
  form.leaveOut = rules.leaveOut.join(', ')
  form.colours = rules.colours.map((colour) => ({ ...colour }))
  form.engine = rules.engine ?? ''
  form.aspectRatio = rules.aspectRatio ?? ''
  saved.value = JSON.stringify(rulesOfForm())
}
const rules = computed(rulesOfForm)
const changed = computed(() => JSON.stringify(rules.value) !== saved.value)
const conflicts = computed(() => ruleConflicts(rules.value))
const ratios = computed(() => [...new Set(engines.profiles.flatMap(({ id, sizes }) => (form.engine && id !== form.engine ? [] : sizes.map(({ aspectRatio }) => aspectRatio))))])

const loaded = ref(false)
const touched = ref<{ prompts: TouchedPrompt[]; checked: number }>()
async function look(): Promise<void> {
  touched.value = await task(() => call(promptsBreakingRules, { params: { project: props.project } }))
}
watch(
  () => props.project,
  async (id) => {
    touched.value = undefined
    // No form before the rules are there: what is typed into it would be written over.
    loaded.value = false
    await task(async () => {
      await store.load(id)
      show(store.rules)
      loaded.value = true
    })
    await look()
  },
  { immediate: true },
)
async function save(): Promise<void> {
  if (conflicts.value.length) return
  const before = store.rules
  await task(async () => {
    await store.set(props.project, rules.value)
    show(store.rules)
    await look()
    notices.show('The house rules are saved.', { action: { label: 'Undo', run: () => void task(() => store.set(props.project, before)).then(() => (show(before), look())) } })
  })
}
</script>

<template>
  <section aria-labelledby="rules-title">
    <h2 id="rules-title">House rules</h2>
    <p class="soft">New prompts begin with them; the Desk says where a prompt breaks one, and fixes it in one press.</p>
    <p v-if="!loaded" class="soft" role="status">Opening the rules …</p>
    <form v-else class="rules" @submit.prevent="save">
      <v-textarea v-model="form.must" label="Every prompt says, a phrase a line" rows="3" auto-grow />
      <v-textarea v-model="form.never" label="No prompt says, with commas" rows="3" auto-grow />
      <v-textarea v-model="form.leaveOut" label="On every leave-out list, with commas" rows="2" auto-grow />
      <fieldset>
        <legend class="soft">Every prompt says something of</legend>
        <v-checkbox v-for="facet in FACETS" :key="facet" v-model="form.facets" :label="facet" :value="facet" />
      </fieldset>
      <div class="labelled">
        <span>Named colours</span>
        <p v-for="(colour, i) in form.colours" :key="i" class="colour">
          <v-color-input v-model="colour.value" :label="`Value of ${colour.name || 'the colour'}`" mode="hex" hide-actions color-pip class="value" />
          <v-text-field v-model="colour.name" :label="`Name of colour ${i + 1}`" placeholder="its name" maxlength="200" />
          <v-btn variant="text" @click="form.colours.splice(i, 1)">Remove</v-btn>
        </p>
        <p><v-btn variant="text" @click="form.colours.push({ name: '', value: '#b08030' })">Add a colour</v-btn></p>
      </div>
      <div class="usual">
        <v-select v-model="form.engine" label="Usual engine" :items="[{ title: 'none', value: '' }, ...engines.newest.map((profile) => ({ title: profile.name, value: profile.id }))]" />
        <v-select v-model="form.aspectRatio" label="Aspect ratio" :items="[{ title: 'any', value: '' }, ...ratios]" />
      </div>
      <ul v-if="conflicts.length" class="conflicts" role="status"><li v-for="conflict in conflicts" :key="conflict">{{ conflict }}</li></ul>
      <p class="row-actions wide"><v-btn color="primary" variant="flat" :disabled="!changed || conflicts.length > 0" type="submit">Save the rules</v-btn><v-btn v-if="changed" variant="text" @click="show(store.rules)">Back to what is saved</v-btn></p>
    </form>
    <template v-if="touched && touched.prompts.length">
      <h3>{{ counted(touched.prompts.length, 'prompt') }} of {{ touched.checked }} {{ touched.prompts.length === 1 ? 'does' : 'do' }} not keep them</h3>
      <ul class="touched">
        <li v-for="prompt in touched.prompts.slice(0, 30)" :key="prompt.promptId"><RouterLink :to="`/desk/${prompt.promptId}`">{{ prompt.title || 'Untitled' }}</RouterLink> <span class="soft">{{ prompt.reasons.join(' ') }}</span></li>
      </ul>
    </template>
    <p v-else-if="touched && touched.checked" class="soft">All {{ touched.checked }} prompts keep them.</p>
  </section>
</template>

<style scoped>
.rules .labelled {
  align-content: start;
}
.rules {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 22px;
  margin-top: 10px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-content: start;
  padding: 0;
  border: 0;
}
legend {
  font-size: 12px;
}
.colour {
  display: flex;
  gap: 10px;
  align-items: center;
}
.usual {
  display: flex;
  align-items: start;
  gap: 16px;
}
.usual > .v-input,
.colour > .v-input {
  flex: 1 1 150px;
}
.wide,
.conflicts {
  grid-column: 1 / -1;
}
.conflicts {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
h3 {
  margin: 14px 0 4px;
}
.touched li {
  padding: 2px 0;
}
</style>
