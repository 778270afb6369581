<script setup lang="ts">
import type { Draft, EngineProfile, Output } from '@idolon/core'
import { computed } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { download, fileName } from '../shared/download.ts'
import { settingLines } from '../shared/setting-words.ts'

/** Exactly what an engine is given, and what of the draft is lost on the way. */
const props = defineProps<{ output: Output; profile: EngineProfile; draft: Draft }>()
const notices = useNotices()
const unit = computed(() => props.profile.limit?.unit ?? 'characters')
const length = computed(() => (props.output.limit ? `${props.output.used.toLocaleString('en')} of the ${props.output.limit.toLocaleString('en')} ${unit.value} it reads` : `${props.output.used} ${unit.value}`))
const lost = computed(() => props.output.cut.map(({ start, end }) => props.draft.text.slice(start, end).trim()).filter(Boolean))
const asJson = () => JSON.stringify(props.output, null, 2)
async function copy(said: string): Promise<void> {
  await navigator.clipboard.writeText(said)
  notices.show('The output is copied.')
}
const keep = () => download(fileName(`${props.profile.name} ${props.output.text.slice(0, 40)}`, 'json'), `${asJson()}\n`)
</script>

<template>
  <div class="output">
    <pre v-if="output.text" class="exact">{{ output.text }}</pre>
    <p v-else class="soft">Nothing yet.</p>
    <p v-if="output.text" class="soft">{{ length }}</p>
    <p v-if="output.text" class="row-actions">
      <v-btn variant="text" @click="copy(output.text)">Copy</v-btn>
      <v-btn variant="text" @click="copy(asJson())">Copy as JSON</v-btn>
      <v-btn variant="text" @click="keep">Download</v-btn>
    </p>
    <template v-if="output.leaveOut">
      <h3>Leave-out text</h3>
      <pre class="exact">{{ output.leaveOut }}</pre>
    </template>
    <template v-if="output.weights">
      <h3>What weighs more or less</h3>
      <pre class="exact">{{ output.weights.map(({ text, weight }) => `${text}: ${weight}`).join('\n') }}</pre>
    </template>
    <ul v-if="output.notes.length || lost.length" class="notes">
      <li v-for="note in output.notes" :key="note">{{ note }}</li>
      <li v-if="lost.length">Not read: {{ lost.map((text) => `“${text}”`).join(', ') }}.</li>
    </ul>
    <slot />
    <h3>Settings</h3>
    <dl class="exact">
      <template v-for="line in settingLines(output.settings, profile)" :key="line.name">
        <dt>{{ line.name }}</dt>
        <dd>{{ line.value }}</dd>
      </template>
      <template v-if="output.settings['seed'] === undefined && !profile.refuses?.includes('seed')">
        <dt>Seed</dt>
        <dd>a new one each time</dd>
      </template>
    </dl>
  </div>
</template>

<style scoped>
.output {
  display: grid;
  gap: 10px;
  min-width: 0;
}
pre {
  max-height: 38vh;
  overflow: auto;
}
dl {
  display: grid;
  grid-template-columns: 104px 1fr;
  gap: 2px 10px;
  margin: 0;
}
dt {
  font-family: var(--grotesque);
  font-size: 14px;
  color: var(--soft);
}
.notes li {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
  overflow-wrap: anywhere;
}
</style>
