<script setup lang="ts">
import type { EngineProfile, Output } from '@idolon/core'
import { computed } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { settingLines } from '../shared/setting-words.ts'

/** Exactly what will be sent. */
const props = defineProps<{ output: Output | undefined; profile: EngineProfile | undefined }>()
const notices = useNotices()
const length = computed(() => {
  const unit = props.profile?.limit?.unit ?? 'characters'
  return props.output?.limit ? `${props.output.used.toLocaleString('en')} of the ${props.output.limit.toLocaleString('en')} ${unit} it reads` : `${props.output?.used ?? 0} ${unit}`
})
async function copy(said: string): Promise<void> {
  await navigator.clipboard.writeText(said)
  notices.show('The output is copied.')
}
</script>

<template>
  <section v-if="output && profile" class="output" aria-label="Output">
    <p class="soft">
      What {{ profile.name }} {{ profile.revision }} is given<template v-if="profile.simulated">. It is simulated: its pictures are drawn here, by rule</template>.
    </p>
    <pre v-if="output.text" class="exact">{{ output.text }}</pre>
    <p v-else class="soft">Nothing yet.</p>
    <p v-if="output.text" class="row-actions">
      <span class="soft">{{ length }}</span>
      <button class="plain" @click="copy(output.text)">Copy</button>
      <button class="plain" @click="copy(JSON.stringify(output, null, 2))">Copy as JSON</button>
    </p>
    <template v-if="output.leaveOut">
      <h2>Leave-out text</h2>
      <pre class="exact">{{ output.leaveOut }}</pre>
    </template>
    <template v-if="output.weights">
      <h2>What weighs more or less</h2>
      <pre class="exact">{{ output.weights.map(({ text, weight }) => `${text}: ${weight}`).join('\n') }}</pre>
    </template>
    <ul v-if="output.notes.length" class="notes">
      <li v-for="note in output.notes" :key="note">{{ note }}</li>
    </ul>
    <h2>Settings</h2>
    <dl class="exact">
      <template v-for="line in settingLines(output.settings)" :key="line.name">
        <dt>{{ line.name }}</dt>
        <dd>{{ line.value }}</dd>
      </template>
      <template v-if="output.settings['seed'] === undefined">
        <dt>Seed</dt>
        <dd>a new one each time</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.output {
  display: grid;
  gap: 10px;
}
h2 {
  font-size: 14px;
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
}
</style>
