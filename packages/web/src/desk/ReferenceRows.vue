<script setup lang="ts">
import { REFERENCE_ROLES, type ReferenceRole, type ReferenceUse } from '@idolon/core'
import { thumbnailOf } from '../proofs/upload.ts'

/** Pictures that go along with the prompt: what each is for, and how closely it is followed. */
const props = defineProps<{ references: ReferenceUse[] }>()
const emit = defineEmits<{ change: [references: ReferenceUse[]] }>()
const SAYS: Record<ReferenceRole, string> = { base: 'start from it', layout: 'follow its layout', palette: 'take its colours', person: 'keep this person', finish: 'take its finish' }
const put = (i: number, more: Partial<ReferenceUse>) => emit('change', props.references.with(i, { ...props.references[i]!, ...more }))
</script>

<template>
  <ul class="references" aria-label="Reference pictures">
    <li v-for="(use, i) in references" :key="i">
      <img :src="thumbnailOf(use.reference)" :alt="`Reference ${i + 1}`" />
      <v-select :label="`What reference ${i + 1} is for`" :model-value="use.role" :items="REFERENCE_ROLES.map((role) => ({ title: SAYS[role], value: role }))" @update:model-value="put(i, { role: $event as ReferenceRole })" />
      <v-slider label="Strength" name="Strength" :min="0" :max="100" :step="5" :model-value="use.strength" class="strength" @update:model-value="put(i, { strength: $event })"><template #append>{{ use.strength }}</template></v-slider>
      <v-btn variant="text" @click="emit('change', references.toSpliced(i, 1))">Remove</v-btn>
    </li>
  </ul>
</template>

<style scoped>
.references {
  display: grid;
  gap: 6px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
}
img {
  width: 54px;
  height: 36px;
  object-fit: cover;
  background: var(--wash);
}
.strength {
  flex: 1 1 160px;
  min-width: 0;
}
</style>
