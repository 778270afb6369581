<script setup lang="ts">
import { type Reference, type ReferenceWhole, RIGHTS } from '@idolon/contract'
import SavedText from '../shared/SavedText.vue'

/** Where a reference comes from and whose it is, and what its file says of itself. */
defineProps<{ whole: ReferenceWhole }>()
const emit = defineEmits<{ change: [texts: Partial<Pick<Reference, 'name' | 'source' | 'rights' | 'note'>>] }>()
const RIGHTS_SAID = { own: 'my own', licensed: 'licensed', unknown: 'not known' } as const
</script>

<template>
  <section aria-labelledby="notes-title" class="notes">
    <h2 id="notes-title">Source and rights</h2>
    <div class="fields">
      <label class="labelled"><span>Name</span><input class="field" :value="whole.reference.name" maxlength="200" @change="emit('change', { name: ($event.target as HTMLInputElement).value })" /></label>
      <label class="labelled"><span>Source</span><input class="field" :value="whole.reference.source" maxlength="2000" placeholder="where it is from" @change="emit('change', { source: ($event.target as HTMLInputElement).value })" /></label>
      <label class="labelled">
        <span>Rights</span>
        <select class="field" :value="whole.reference.rights" @change="emit('change', { rights: ($event.target as HTMLSelectElement).value as Reference['rights'] })">
          <option v-for="one in RIGHTS" :key="one" :value="one">{{ RIGHTS_SAID[one] }}</option>
        </select>
      </label>
    </div>
    <SavedText label="Note" :value="whole.reference.note" multiline :maxlength="5000" placeholder="what it is kept for, who may use it" @save="emit('change', { note: $event })" />
    <details v-if="whole.metadata.length">
      <summary>What the file says of itself</summary>
      <dl class="exact">
        <template v-for="(field, i) in whole.metadata" :key="i"><dt>{{ field.name }}</dt><dd>{{ field.value.slice(0, 600) }}</dd></template>
      </dl>
    </details>
  </section>
</template>

<style scoped>
.notes {
  display: grid;
  gap: 10px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 14px;
}
dt {
  color: var(--soft);
}
</style>
