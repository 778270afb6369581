<script setup lang="ts">
import { computed } from 'vue'
import type { Conflict } from './draft-session.ts'
import WordDiff from './WordDiff.vue'

const props = defineProps<{ conflict: Conflict | undefined }>()
defineEmits<{ decide: [choice: 'mine' | 'theirs'] }>()
const open = computed(() => props.conflict !== undefined)
const settingsDiffer = computed(() => {
  const { conflict } = props
  return conflict !== undefined && JSON.stringify([conflict.mine.settings, conflict.mine.engines, conflict.mine.marks]) !== JSON.stringify([conflict.theirs.draft.settings, conflict.theirs.draft.engines, conflict.theirs.draft.marks])
})
</script>

<template>
  <v-dialog :model-value="open" persistent max-width="980" aria-labelledby="conflict-title">
    <div v-if="conflict" class="dialog conflict">
      <h1 id="conflict-title">This prompt was changed in two places</h1>
      <p>
        {{ conflict.from === 'here' ? 'Another window saved it while you were writing here.' : 'A window that is closed now had text that was never saved, and the prompt has been changed since.' }}
        Nothing is lost: choose which to go on with. Undo brings the other back.
      </p>
      <div class="two">
        <section>
          <h2>{{ conflict.from === 'here' ? 'Yours, in this window' : 'What was not saved' }}</h2>
          <p class="text">{{ conflict.mine.text || '(empty)' }}</p>
          <p v-if="conflict.mine.leaveOut.length" class="soft">Leave out: {{ conflict.mine.leaveOut.join(', ') }}</p>
          <v-btn color="primary" variant="flat" @click="$emit('decide', 'mine')">Go on with this</v-btn>
        </section>
        <section>
          <h2>What is saved now</h2>
          <p class="text">{{ conflict.theirs.draft.text || '(empty)' }}</p>
          <p v-if="conflict.theirs.draft.leaveOut.length" class="soft">Leave out: {{ conflict.theirs.draft.leaveOut.join(', ') }}</p>
          <v-btn @click="$emit('decide', 'theirs')">Go on with this</v-btn>
        </section>
      </div>
      <section>
        <h2>What differs</h2>
        <WordDiff :before="conflict.theirs.draft.text" :after="conflict.mine.text" />
        <p v-if="settingsDiffer" class="soft">Marks, engine or settings differ as well.</p>
      </section>
    </div>
  </v-dialog>
</template>

<style scoped>
.conflict {
  display: grid;
  gap: 16px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
.two section {
  display: grid;
  gap: 10px;
  align-content: start;
  justify-items: start;
}
.text {
  font-family: var(--serif);
  font-size: 16px;
  white-space: pre-wrap;
  max-height: 30vh;
  overflow: auto;
  overflow-wrap: anywhere;
}
</style>
