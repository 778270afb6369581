<script setup lang="ts">
import { previewRequest, type RequestPreview } from '@idolon/contract'
import type { EngineProfile } from '@idolon/core'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call.ts'

/** What an engine with a profile would be sent for a text, as it is typed. Nothing is sent, and no API key is shown. */
const props = defineProps<{ profile: EngineProfile }>()
const text = defineModel<string>('text', { required: true })
const asked = refDebounced(computed(() => ({ profile: props.profile, text: text.value })), 250)
const preview = ref<RequestPreview>()
const problem = ref('')
watch(
  asked,
  async (body) => {
    try {
      preview.value = await call(previewRequest, { body: JSON.parse(JSON.stringify(body)) as typeof body })
      problem.value = preview.value.problem ?? ''
    } catch (error) {
      problem.value = (error as Error).message
    }
  },
  { immediate: true },
)
const shown = computed(() => {
  const request = preview.value?.request
  if (!request) return ''
  return `POST ${request.url}\n${Object.entries(request.headers).map(([name, value]) => `${name}: ${value}`).join('\n')}\n\n${JSON.stringify(request.body, null, 2)}`
})
</script>

<template>
  <div class="preview">
    <v-textarea v-model="text" label="A text to try it with" rows="2" maxlength="20000" auto-grow />
    <p v-if="problem" class="problem" role="status">{{ problem }}</p>
    <pre v-if="shown" tabindex="0" aria-label="The request">{{ shown }}</pre>
  </div>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 8px;
}
pre {
  margin: 0;
  padding: 10px 12px;
  max-height: 260px;
  overflow: auto;
  border: 1px solid var(--rule);
  font-family: var(--mono);
  font-size: 12.5px;
  line-height: 1.5;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
