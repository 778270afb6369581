<script setup lang="ts">
import { createPrompt, type Proof } from '@idolon/contract'
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'

/** Begins a change of a proof: a draft of its own that says what to change, and starts from the picture. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ proof: Pick<Proof, 'id' | 'projectId' | 'promptTitle' | 'version'> }>()
const router = useRouter()
const task = useTask()
const text = ref('')
const strength = ref(60)
const field = ref<HTMLTextAreaElement>()
watch(open, async (now) => {
  if (!now) return
  await nextTick()
  field.value?.focus()
})
const begin = () =>
  task(async () => {
    const prompt = await call(createPrompt, { body: { projectId: props.proof.projectId, change: { proof: props.proof.id, strength: strength.value, text: text.value.trim() } } })
    open.value = false
    await router.push(`/desk/${prompt.id}`)
  })
</script>

<template>
  <v-dialog v-model="open" max-width="560" aria-labelledby="change-title">
    <div class="dialog change">
      <h2 id="change-title">Change this picture</h2>
      <p class="soft">Version {{ proof.version }} of {{ proof.promptTitle }} becomes the base. Say what to change, not what the picture shows; you can go on writing on the Desk before it is tried.</p>
      <v-textarea ref="field" v-model="text" label="What to change" rows="3" maxlength="4000" placeholder="Make the sky darker and take the fence away" auto-grow @keydown.ctrl.enter="begin" />
      <v-slider v-model="strength" label="Keep of the picture" name="Keep of the picture" :min="0" :max="100" :step="5" class="strength"><template #append>{{ strength }} of 100</template></v-slider>
      <p class="row-actions"><v-btn color="primary" variant="flat" @click="begin">Open on the Desk</v-btn><v-btn variant="text" @click="open = false">Cancel</v-btn></p>
    </div>
  </v-dialog>
</template>

<style scoped>
.change {
  display: grid;
  gap: 12px;
}
.strength {
  width: 100%;
}
</style>
