<script setup lang="ts">
import { type Connection, type EngineProfile, FACETS, type Facet, readProfile, standinConnection } from '@idolon/core'
import { computed, reactive, ref, watch } from 'vue'
import { EMPHASIS, READS } from './profile-words.ts'
import RequestPreview from './RequestPreview.vue'
import { needed, shaped } from '../shared/field-rules.ts'
import { useFormCheck } from '../shared/form-check.ts'

/** The profile of an engine, field by field. What contradicts itself is said at once and cannot be saved. */
const props = defineProps<{ profile: EngineProfile; isNew: boolean }>()
const emit = defineEmits<{ save: [profile: EngineProfile]; cancel: [] }>()
const form = reactive(structuredClone(props.profile))
const limited = computed({
  get: () => form.limit !== undefined,
  set: (on) => {
    if (on) form.limit = { unit: 'words', max: 60 }
    else delete form.limit
  },
})
const order = computed({
  get: () => (form.facetOrder ?? []).join(', '),
  set: (list) => {
    const facets = list.split(',').map((one) => one.trim().toLowerCase()).filter((one): one is Facet => FACETS.some((facet) => facet === one))
    if (facets.length) form.facetOrder = facets
    else delete form.facetOrder
  },
})
/** A count that may be left open. */
function setCount(key: 'figures' | 'lettering', value: string): void {
  if (value.trim() === '') delete form[key]
  else form[key] = Math.max(0, Math.round(Number(value)) || 0)
}
/** How a service is asked, as JSON: what the form cannot know is written as it is. */
const connection = ref(form.connection ? JSON.stringify(form.connection, null, 2) : '')
const notJson = ref('')
watch(connection, (said) => {
  notJson.value = ''
  if (said.trim() === '') {
    delete form.connection
    return
  }
  try {
    form.connection = JSON.parse(said) as Connection
  } catch (error) {
    notJson.value = `The connection is no JSON yet: ${(error as Error).message}.`
  }
})
const begin = () => (connection.value = JSON.stringify({ ...standinConnection('https://pictures.example'), headers: { authorization: 'Bearer {apiKey}' } }, null, 2))
const text = ref('A red fox in a meadow at dusk, gouache.')
const read = computed(() => readProfile(JSON.parse(JSON.stringify(form))))
const problems = computed(() => (notJson.value ? [{ at: '/connection', says: notJson.value }] : 'problems' in read.value ? read.value.problems : []))
/** What the profile says is wrong with a field stands under it; the rest under the form. */
const FIELDS = /^\/(?:name|id|revision|limit\/max|sizes\/\d+\/(?:aspectRatio|width|height|cost)|settings\/\d+\/(?:key|label|min|max|step|default|says|values)|connection)$/
const wrongAt = (at: string) => problems.value.filter((problem) => problem.at === at).map(({ says }) => says)
const elsewhere = computed(() => problems.value.filter(({ at }) => !FIELDS.test(at)))
const { check, whenSound } = useFormCheck()
const save = whenSound(() => 'profile' in read.value && emit('save', read.value.profile))
const addSetting = () => form.settings.push({ key: '', label: '', kind: 'number', min: 0, max: 10, step: 1, default: 5, says: '' })
const addSize = () => form.sizes.push({ aspectRatio: '1:1', width: 512, height: 512, cost: 1 })
</script>

<template>
  <v-form ref="check" class="form" @submit.prevent="save" @keydown.escape.stop="emit('cancel')">
    <fieldset>
      <legend>What it is</legend>
      <v-text-field v-model="form.name" label="Name" maxlength="60" :rules="[needed]" />
      <v-text-field v-model="form.id" label="Short name, for files and the command line" maxlength="60" :rules="[needed, shaped(/^[a-z0-9][a-z0-9-]*$/, 'Small letters, digits and hyphens.')]" :disabled="!isNew" />
      <v-text-field v-model="form.revision" label="Revision" maxlength="60" :rules="[needed]" :disabled="!isNew" />
    </fieldset>
    <fieldset>
      <legend>How it reads</legend>
      <v-select v-model="form.reads" label="It reads" :items="Object.entries(READS).map(([key, says]) => ({ title: says, value: key }))" />
      <v-select v-model="form.emphasis" label="Emphasis is carried" :items="Object.entries(EMPHASIS).map(([key, says]) => ({ title: says, value: key }))" />
      <v-checkbox v-model="form.leaveOut" label="takes a leave-out list" />
      <p class="line">
        <v-checkbox v-model="limited" label="reads no further than" />
        <template v-if="form.limit">
          <v-text-field v-model.number="form.limit.max" label="Limit" type="number" min="1" class="short" :error-messages="wrongAt('/limit/max')" />
          <v-select v-model="form.limit.unit" label="Unit of the limit" :items="['characters', 'words', 'tokens']" />
          <v-select label="Past the limit" :model-value="form.pastLimit ?? 'ignores'" :items="[{ title: 'and ignores the rest', value: 'ignores' }, { title: 'and refuses what is longer', value: 'refuses' }]" @update:model-value="form.pastLimit = $event === 'refuses' ? 'refuses' : 'ignores'" />
        </template>
      </p>
      <v-text-field v-model.lazy="order" label="Order of facets it prefers, with commas; empty for that of the draft" class="wide" />
      <v-text-field label="Figures it draws well in one picture" hint="Empty if not known." persistent-hint type="number" min="0" :model-value="form.figures ?? ''" @input="setCount('figures', ($event.target as HTMLInputElement).value)" />
      <v-text-field label="Words it spells well" hint="Empty if not known." persistent-hint type="number" min="0" :model-value="form.lettering ?? ''" @input="setCount('lettering', ($event.target as HTMLInputElement).value)" />
    </fieldset>
    <fieldset>
      <legend>Sizes and cost</legend>
      <v-table class="wide">
        <thead><tr><th>Aspect ratio</th><th>Width</th><th>Height</th><th>Cost of one, in {{ form.costUnit }}s</th><th><span class="visually-hidden">Remove</span></th></tr></thead>
        <tbody>
          <tr v-for="(size, i) in form.sizes" :key="i">
            <td><v-text-field v-model="size.aspectRatio" aria-label="Aspect ratio" class="short" :error-messages="wrongAt(`/sizes/${i}/aspectRatio`)" /></td>
            <td><v-text-field v-model.number="size.width" aria-label="Width in pixels" type="number" class="short" :error-messages="wrongAt(`/sizes/${i}/width`)" /></td>
            <td><v-text-field v-model.number="size.height" aria-label="Height in pixels" type="number" class="short" :error-messages="wrongAt(`/sizes/${i}/height`)" /></td>
            <td><v-text-field v-model.number="size.cost" aria-label="Cost" type="number" min="0" class="short" :error-messages="wrongAt(`/sizes/${i}/cost`)" /></td>
            <td><v-btn variant="text" :disabled="form.sizes.length === 1" @click="form.sizes.splice(i, 1)">Remove</v-btn></td>
          </tr>
        </tbody>
      </v-table>
      <p class="line wide"><v-btn variant="text" @click="addSize">Add a size</v-btn> <v-text-field v-model="form.costUnit" label="The unit is a" maxlength="60" /></p>
    </fieldset>
    <fieldset>
      <legend>Settings of its own</legend>
      <div v-for="(setting, i) in form.settings" :key="i" class="setting wide">
        <v-text-field v-model="setting.label" label="Name of the setting" placeholder="name" :error-messages="wrongAt(`/settings/${i}/label`)" />
        <v-text-field v-model="setting.key" label="Key of the setting" placeholder="key" :error-messages="wrongAt(`/settings/${i}/key`)" />
        <template v-if="setting.kind === 'number'">
          <v-text-field v-model.number="setting.min" label="From" type="number" step="any" class="short" :error-messages="wrongAt(`/settings/${i}/min`)" />
          <v-text-field v-model.number="setting.max" label="To" type="number" step="any" class="short" :error-messages="wrongAt(`/settings/${i}/max`)" />
          <v-text-field v-model.number="setting.step" label="By" type="number" step="any" class="short" :error-messages="wrongAt(`/settings/${i}/step`)" />
          <v-text-field v-model.number="setting.default" label="Usually" type="number" step="any" class="short" :error-messages="wrongAt(`/settings/${i}/default`)" />
        </template>
        <template v-else>
          <v-text-field label="Values, with commas" :model-value="setting.values.join(', ')" @change="setting.values = ($event.target as HTMLInputElement).value.split(',').map((one) => one.trim()).filter(Boolean)" />
          <v-text-field v-model="setting.default" label="Usually" />
        </template>
        <v-btn variant="text" @click="form.settings.splice(i, 1)">Remove</v-btn>
        <v-text-field v-model="setting.says" label="What it does" placeholder="what it does, in one sentence" maxlength="300" class="says" />
      </div>
      <p class="line wide"><v-btn variant="text" @click="addSetting">Add a number</v-btn><v-btn variant="text" @click="form.settings.push({ key: '', label: '', kind: 'choice', values: ['one', 'two'], default: 'one', says: '' })">Add a choice</v-btn></p>
    </fieldset>
    <fieldset>
      <legend>How it is asked</legend>
      <p class="wide soft">A service is connected by what it is sent and where its answer lies. Leave it empty for an engine that is only written for. The API key itself is given on the engine’s page.</p>
      <v-textarea v-model="connection" label="The connection, as JSON" rows="8" spellcheck="false" auto-grow class="wide code" :error-messages="wrongAt('/connection')" />
      <p v-if="connection.trim() === ''" class="wide"><v-btn variant="text" @click="begin">Begin with an example</v-btn></p>
      <div v-else-if="'profile' in read && !notJson" class="wide"><RequestPreview v-model:text="text" :profile="read.profile" /></div>
      <v-checkbox v-model="form.honoursIdempotencyKey" label="asked again with the same key, it charges once" class="wide" />
    </fieldset>
    <v-textarea v-model="form.notes" label="Notes" rows="3" maxlength="4000" auto-grow />
    <ul v-if="elsewhere.length" class="problems" role="status">
      <li v-for="problem in elsewhere" :key="problem.at">{{ problem.says }} <span class="soft">{{ problem.at }}</span></li>
    </ul>
    <p class="row-actions"><v-btn color="primary" variant="flat" :disabled="elsewhere.length > 0" type="submit">Save the profile</v-btn><v-btn variant="text" @click="emit('cancel')">Cancel</v-btn></p>
  </v-form>
</template>

<style scoped>
.code {
  font-family: var(--mono);
  font-size: 12.5px;
}
.form {
  display: grid;
  gap: 18px;
}
fieldset {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 18px;
  padding: 12px 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}
legend {
  padding: 0 12px 0 0;
  font-weight: 600;
}
.wide,
.line {
  grid-column: 1 / -1;
}
.line,
.setting {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.line > .v-input:not(.v-checkbox),
.setting > .v-input {
  flex: 0 1 190px;
}
.setting > .short,
.line > .short,
.short {
  flex: 0 0 92px;
  width: 92px;
}
.setting .says {
  flex: 1 1 100%;
}
th {
  padding-right: 12px;
  text-align: left;
  font-size: 12px;
  font-weight: 400;
  color: var(--soft);
}
td {
  padding: 2px 12px 2px 0;
}
.problems {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
</style>
