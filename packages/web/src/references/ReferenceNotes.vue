<script setup lang="ts">
import { type Reference, type ReferenceWhole, RIGHTS } from '@idolon/contract'
import SavedText from '../shared/SavedText.vue'
import FoldOut from '../shared/FoldOut.vue'

/** Where a reference comes from and whose it is, and what its file says of itself. */
defineProps<{ whole: ReferenceWhole }>()
const emit = defineEmits<{ change: [texts: Partial<Pick<Reference, 'name' | 'source' | 'rights' | 'note'>>] }>()
const RIGHTS_SAID = { own: 'my own', licensed: 'licensed', unknown: 'not known' } as const
</script>

<template>
  <section aria-labelledby="notes-title" class="notes">
    <h2 id="notes-title">Source and rights</h2>
    <div class="fields">
      <v-text-field label="Name" :model-value="whole.reference.name" maxlength="200" @change="emit('change', { name: ($event.target as HTMLInputElement).value })" />
      <v-text-field label="Source" :model-value="whole.reference.source" maxlength="2000" placeholder="where it is from" @change="emit('change', { source: ($event.target as HTMLInputElement).value })" />
      <v-select label="Rights" :model-value="whole.reference.rights" :items="RIGHTS.map((one) => ({ title: RIGHTS_SAID[one], value: one }))" @update:model-value="emit('change', { rights: $event as Reference['rights'] })" />
    </div>
    <SavedText label="Note" :value="whole.reference.note" multiline :maxlength="5000" placeholder="what it is kept for, who may use it" @save="emit('change', { note: $event })" />
    <FoldOut v-if="whole.metadata.length" title="What the file says of itself">
      <dl class="exact">
        <template v-for="(field, i) in whole.metadata" :key="i"><dt>{{ field.name }}</dt><dd>{{ field.value.slice(0, 600) }}</dd></template>
      </dl>
    </FoldOut>
  </section>
</template>

<style scoped>
.notes {
  display: grid;
  gap: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 12px;
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
