<script setup lang="ts">
import { type Connection, type EngineProfile, FACETS, type Facet, readProfile, standinConnection } from '@idolon/core'
import { computed, reactive, ref, watch } from 'vue'
import { EMPHASIS, READS } from './profile-words.ts'
import RequestPreview from './RequestPreview.vue'

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
const begin = () => (connection.value = JSON.stringify({ ...standinConnection('https://pictures.example'), headers: { authorization: 'Bearer {secret}' } }, null, 2))
const text = ref('A red fox in a meadow at dusk, gouache.')
const read = computed(() => readProfile(JSON.parse(JSON.stringify(form))))
const problems = computed(() => (notJson.value ? [{ at: '/connection', says: notJson.value }] : 'problems' in read.value ? read.value.problems : []))
function save(): void {
  if ('profile' in read.value) emit('save', read.value.profile)
}
const addSetting = () => form.settings.push({ key: '', label: '', kind: 'number', min: 0, max: 10, step: 1, default: 5, says: '' })
const addSize = () => form.sizes.push({ aspectRatio: '1:1', width: 512, height: 512, cost: 1 })
</script>

<template>
  <form class="form" @submit.prevent="save" @keydown.escape.stop="emit('cancel')">
    <fieldset>
      <legend>What it is</legend>
      <label class="labelled"><span>Name</span><input v-model="form.name" class="field" maxlength="60" required /></label>
      <label class="labelled"><span>Short name, for files and the command line</span><input v-model="form.id" class="field" maxlength="60" required :disabled="!isNew" pattern="[a-z0-9\-]+" title="lower-case letters, numbers and hyphens" /></label>
      <label class="labelled"><span>Revision</span><input v-model="form.revision" class="field" maxlength="60" required :disabled="!isNew" /></label>
    </fieldset>
    <fieldset>
      <legend>How it reads</legend>
      <label class="labelled"><span>It reads</span><select v-model="form.reads" class="field"><option v-for="(says, key) in READS" :key="key" :value="key">{{ says }}</option></select></label>
      <label class="labelled"><span>Emphasis is carried</span><select v-model="form.emphasis" class="field"><option v-for="(says, key) in EMPHASIS" :key="key" :value="key">{{ says }}</option></select></label>
      <label class="check"><input v-model="form.leaveOut" type="checkbox" /> takes a leave-out list</label>
      <p class="line">
        <label class="check"><input v-model="limited" type="checkbox" /> reads no further than</label>
        <template v-if="form.limit">
          <input v-model.number="form.limit.max" class="field short" type="number" min="1" aria-label="Limit" />
          <select v-model="form.limit.unit" class="field" aria-label="Unit of the limit"><option>characters</option><option>words</option><option>pieces</option></select>
          <select v-model="form.pastLimit" class="field" aria-label="Past the limit"><option value="ignores">and ignores the rest</option><option value="refuses">and refuses what is longer</option></select>
        </template>
      </p>
      <label class="labelled wide"><span>Order of facets it prefers, with commas; empty for that of the draft</span><input v-model.lazy="order" class="field" /></label>
      <label class="labelled"><span>Figures it draws well in one picture; empty if not known</span><input class="field short" type="number" min="0" :value="form.figures ?? ''" @input="setCount('figures', ($event.target as HTMLInputElement).value)" /></label>
      <label class="labelled"><span>Words it spells well; empty if not known</span><input class="field short" type="number" min="0" :value="form.lettering ?? ''" @input="setCount('lettering', ($event.target as HTMLInputElement).value)" /></label>
    </fieldset>
    <fieldset>
      <legend>Sizes and cost</legend>
      <table class="wide">
        <thead><tr><th>Aspect ratio</th><th>Width</th><th>Height</th><th>Cost of one, in {{ form.costUnit }}s</th><th><span class="visually-hidden">Remove</span></th></tr></thead>
        <tbody>
          <tr v-for="(size, i) in form.sizes" :key="i">
            <td><input v-model="size.aspectRatio" class="field short" aria-label="Aspect ratio" /></td>
            <td><input v-model.number="size.width" class="field short" type="number" aria-label="Width in pixels" /></td>
            <td><input v-model.number="size.height" class="field short" type="number" aria-label="Height in pixels" /></td>
            <td><input v-model.number="size.cost" class="field short" type="number" min="0" aria-label="Cost" /></td>
            <td><button type="button" class="plain" :disabled="form.sizes.length === 1" @click="form.sizes.splice(i, 1)">remove</button></td>
          </tr>
        </tbody>
      </table>
      <p class="line wide"><button type="button" class="plain" @click="addSize">Add a size</button> <label>The unit is a <input v-model="form.costUnit" class="field short" maxlength="60" /></label></p>
    </fieldset>
    <fieldset>
      <legend>Settings of its own</legend>
      <div v-for="(setting, i) in form.settings" :key="i" class="setting wide">
        <input v-model="setting.label" class="field" placeholder="name" aria-label="Name of the setting" />
        <input v-model="setting.key" class="field" placeholder="key" aria-label="Key of the setting" />
        <template v-if="setting.kind === 'number'">
          <label>from <input v-model.number="setting.min" class="field short" type="number" step="any" /></label>
          <label>to <input v-model.number="setting.max" class="field short" type="number" step="any" /></label>
          <label>by <input v-model.number="setting.step" class="field short" type="number" step="any" /></label>
          <label>usually <input v-model.number="setting.default" class="field short" type="number" step="any" /></label>
        </template>
        <template v-else>
          <input :value="setting.values.join(', ')" class="field" aria-label="Values, with commas" @change="setting.values = ($event.target as HTMLInputElement).value.split(',').map((one) => one.trim()).filter(Boolean)" />
          <label>usually <input v-model="setting.default" class="field" /></label>
        </template>
        <button type="button" class="plain" @click="form.settings.splice(i, 1)">remove</button>
        <input v-model="setting.says" class="field says" placeholder="what it does, in one sentence" aria-label="What it does" maxlength="300" />
      </div>
      <p class="line wide"><button type="button" class="plain" @click="addSetting">Add a number</button><button type="button" class="plain" @click="form.settings.push({ key: '', label: '', kind: 'choice', values: ['one', 'two'], default: 'one', says: '' })">Add a choice</button></p>
    </fieldset>
    <fieldset>
      <legend>How it is asked</legend>
      <p class="wide soft">A service is connected by what it is sent and where its answer lies. Leave it empty for an engine that is only written for. The secret itself is given on the engine’s page.</p>
      <label class="labelled wide"><span>The connection, as JSON</span><textarea v-model="connection" class="field code" rows="8" spellcheck="false" /></label>
      <p v-if="connection.trim() === ''" class="wide"><button type="button" class="plain" @click="begin">Begin with an example</button></p>
      <div v-else-if="'profile' in read && !notJson" class="wide"><RequestPreview v-model:text="text" :profile="read.profile" /></div>
      <label class="check wide"><input v-model="form.honoursIdempotencyKey" type="checkbox" /> asked again with the same key, it charges once</label>
    </fieldset>
    <label class="labelled"><span>Notes</span><textarea v-model="form.notes" class="field" rows="3" maxlength="4000" /></label>
    <ul v-if="problems.length" class="problems" role="status">
      <li v-for="problem in problems" :key="problem.at">{{ problem.says }} <span class="soft">{{ problem.at }}</span></li>
    </ul>
    <p class="row-actions"><button class="do" :disabled="problems.length > 0">Save the profile</button><button type="button" class="plain" @click="emit('cancel')">Cancel</button></p>
  </form>
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
.check {
  display: flex;
  gap: 8px;
  align-items: center;
}
.short {
  width: 92px;
}
.setting .field:not(.short) {
  width: 130px;
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
textarea {
  width: 100%;
}
.problems {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
</style>
