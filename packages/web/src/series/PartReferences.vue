<script setup lang="ts">
import { listReferences, type Reference } from '@idolon/contract'
import { type PartKind, referenceFor, type ReferenceUse } from '@idolon/core'
import { computed, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import ReferenceRows from '../desk/ReferenceRows.vue'
import { useTask } from '../notices/notices.ts'
import ChoiceMenu from '../shared/ChoiceMenu.vue'

/** Pictures that go along wherever a part is used: what each is for, and how closely it is followed. */
const props = defineProps<{ projectId: string; kind: PartKind; references: ReferenceUse[] }>()
const emit = defineEmits<{ change: [references: ReferenceUse[]] }>()
const task = useTask()
const all = shallowRef<Reference[]>()
watch(() => props.projectId, (project) => void task(async () => (all.value = await call(listReferences, { query: { project } }))), { immediate: true })

const MOST = 6
const free = computed(() => all.value?.filter(({ picture, proofId }) => !props.references.some(({ reference }) => reference === picture.sha256 || reference === proofId)) ?? [])
const gone = computed(() => (all.value ? props.references.filter(({ reference }) => !all.value!.some(({ picture, proofId }) => reference === picture.sha256 || reference === proofId)).length : 0))
function add(wanted: string): void {
  const one = free.value.find(({ id }) => id === wanted)
  if (one) emit('change', [...props.references, referenceFor(props.kind, one.picture.sha256)])
}
</script>

<template>
  <fieldset class="grouped">
    <legend>Pictures that go along</legend>
    <ReferenceRows v-if="references.length" :references="references" @change="emit('change', $event)" />
    <p v-if="gone" class="soft">{{ gone === 1 ? 'One of them is' : `${gone} of them are` }} no longer among the project’s references; it goes along until you remove it.</p>
    <p v-if="all?.length === 0" class="soft">This project has no reference yet. <RouterLink to="/references">Import one</RouterLink>, or keep a proof as a reference.</p>
    <ChoiceMenu v-else-if="references.length < MOST" label="Add a reference picture" :items="free.map((one) => ({ title: one.name || 'without a name', value: one.id }))" @choose="add" />
  </fieldset>
</template>

<style scoped>
.add {
  justify-self: start;
  max-width: 100%;
}
</style>
