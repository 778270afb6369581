<script setup lang="ts">
import type { ImportPreview } from '@idolon/contract'
import { counted } from '../shared/said.ts'

/** What would come in, and what not, with the reason. */
defineProps<{ preview: ImportPreview; duplicatesToo: boolean }>()
const further = (count: number, shown: number) => (count > shown ? `and ${counted(count - shown, 'more', 'more')}` : '')
</script>

<template>
  <div class="coming">
    <section v-if="preview.rejected.count" aria-labelledby="rejected">
      <h2 id="rejected">{{ counted(preview.rejected.count, 'entry is', 'entries are') }} left out</h2>
      <ul><li v-for="one in preview.rejected.first" :key="one.place"><span class="place">{{ one.place }}</span> {{ one.reason }}</li></ul>
      <p class="soft">{{ further(preview.rejected.count, preview.rejected.first.length) }}</p>
    </section>
    <section v-if="preview.duplicates.count" aria-labelledby="duplicates">
      <h2 id="duplicates">{{ counted(preview.duplicates.count, 'prompt is', 'prompts are') }} here already: {{ duplicatesToo ? 'imported a second time' : 'left out' }}</h2>
      <ul>
        <li v-for="one in preview.duplicates.first" :key="one.place"><span class="place">{{ one.place }}</span> {{ one.title }} <span class="soft">the same as <RouterLink v-if="one.of.promptId" :to="`/desk/${one.of.promptId}`">{{ one.of.title }}</RouterLink><template v-else>{{ one.of.title }} of this file</template></span></li>
      </ul>
      <p class="soft">{{ further(preview.duplicates.count, preview.duplicates.first.length) }}</p>
    </section>
    <section v-if="preview.notes.count" aria-labelledby="notes">
      <h2 id="notes">{{ counted(preview.notes.count, 'thing is', 'things are') }} changed on the way in</h2>
      <ul><li v-for="(one, i) in preview.notes.first" :key="i"><span class="place">{{ one.place }}</span> {{ one.note }}</li></ul>
    </section>
    <section v-if="preview.coming.count" aria-labelledby="coming">
      <h2 id="coming">{{ counted(preview.coming.count, 'prompt comes', 'prompts come') }} in{{ preview.beside.length ? `, with ${preview.beside.join(', ')}` : '' }}</h2>
      <ul class="prompts">
        <li v-for="one in preview.coming.first" :key="one.place">
          <span class="place">{{ one.place }}</span>
          <span><strong v-if="one.title">{{ one.title }}</strong> <span class="text">{{ one.text }}</span> <span class="soft">{{ [one.project, one.tags.join(', '), one.says].filter(Boolean).join(' · ') }}</span></span>
        </li>
      </ul>
      <p class="soft">{{ further(preview.coming.count, preview.coming.first.length) }}</p>
    </section>
  </div>
</template>

<style scoped>
.coming {
  display: grid;
  gap: 18px;
}
h2 {
  font-size: 15px;
}
li {
  display: flex;
  gap: 14px;
  padding: 3px 0;
}
.prompts li {
  border-top: 1px solid var(--rule);
  padding: 6px 0;
}
.place {
  flex: none;
  min-width: 90px;
  max-width: 240px;
  overflow-wrap: anywhere;
  font-family: var(--mono);
  font-size: 13px;
}
.text {
  font-family: var(--serif);
}
</style>
