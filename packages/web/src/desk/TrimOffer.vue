<script setup lang="ts">
import type { Draft, EngineProfile } from '@idolon/core'
import type { Trim } from '@idolon/core/reader'
import { shallowRef, toRaw, watch } from 'vue'
import { useNotices } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import type { DraftSession } from './draft-session.ts'

/** Offers to make a draft fit its engine by taking out what is missed least; nothing goes before it is looked at. */
const props = defineProps<{ session: DraftSession; draft: Draft; profile: EngineProfile }>()
const notices = useNotices()
const trim = shallowRef<Trim>()
const WHY = { 'says nothing': 'says nothing of the picture', 'said before': 'is said before', 'much less': 'is marked much less', less: 'is marked less', last: 'comes last' } as const
watch([() => props.draft, () => props.profile], () => (trim.value = undefined))

async function offer(): Promise<void> {
  const { draft } = props
  const found = await props.session.reading.ask('trim', { draft: toRaw(draft), engine: toRaw(props.profile) })
  if (draft === props.draft) trim.value = found
}
function take(): void {
  const edits = trim.value?.edits ?? []
  for (const edit of edits) props.session.apply(edit)
  notices.show(`${counted(edits.length, 'phrase')} removed. Undo restores them one by one.`, { action: { label: 'Undo', run: props.session.undo } })
}
</script>

<template>
  <p v-if="!trim"><v-btn @click="offer">Trim it to fit</v-btn></p>
  <div v-else class="trim">
    <p v-if="!trim.dropped.length">Nothing can go: what is left is locked, or the subject.</p>
    <template v-else>
      <p>{{ trim.fits ? 'To fit, these go, in this order:' : 'Even without these it does not fit; what is left is locked, or the subject:' }}</p>
      <ul>
        <li v-for="(one, i) in trim.dropped" :key="i">“{{ one.text }}” <span class="soft">{{ WHY[one.why] }}</span></li>
      </ul>
      <p class="row-actions"><v-btn @click="take">Remove {{ trim.dropped.length === 1 ? 'it' : `the ${trim.dropped.length}` }}</v-btn><v-btn variant="text" @click="trim = undefined">Reject</v-btn></p>
    </template>
  </div>
</template>

<style scoped>
.trim {
  display: grid;
  gap: 8px;
}
</style>
