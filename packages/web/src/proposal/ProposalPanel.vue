<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { computed, onBeforeUnmount, watch } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'
import { useNotices } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import UnitsByFacet from './UnitsByFacet.vue'
import { type Around, useProposal } from './use-proposal.ts'

/** A whole prompt that came back, as changes of the draft. */
const props = defineProps<{ turn: Turn; session: DraftSession; around: Around }>()
const emit = defineEmits<{ decided: [taken: number, left: number] }>()
const notices = useNotices()
const proposal = useProposal(props.session, () => (props.turn.proposed ? { proposed: props.turn.proposed, helper: props.turn.helper } : undefined), () => props.around)
const { units, takeable, elsewhere, counts, current } = proposal
const stops = computed(() => [...units.value.flatMap(({ findings }) => findings), ...elsewhere.value].filter(({ severity }) => severity === 'stop').length)
/** What would be wrong with the whole and lies nowhere in particular. */
const whole = computed(() => elsewhere.value.filter(({ severity }) => severity !== 'tip'))
const decided = computed(() => current.value && units.value.length === 0)
watch(decided, (now) => {
  if (now && counts.value.taken + counts.value.left > 0) emit('decided', counts.value.taken, counts.value.left)
})
async function copyJson(): Promise<void> {
  const copied = await navigator.clipboard.writeText(JSON.stringify(props.turn.value, null, 2)).then(() => true, () => false)
  notices.show(copied ? 'The object by facet is on the clipboard.' : 'The browser does not let Idolon copy; take it from “as it came” below.')
}
// Put away before all was decided: what was taken so far is kept.
onBeforeUnmount(() => {
  const { taken, left } = counts.value
  if (!decided.value && taken + left > 0) emit('decided', taken, left + units.value.length)
})
const why = computed(() => (props.turn.kind === 'engine' ? (props.turn.value as { why?: string } | null)?.why : undefined))
</script>

<template>
  <div class="proposal">
    <p v-if="why" class="why">{{ why }}</p>
    <p v-if="turn.kind === 'facets'"><v-btn variant="text" @click="copyJson">Copy it as JSON by facet</v-btn></p>
    <p v-if="turn.lockedLost.length" class="lost">Locked words are missing from it: {{ turn.lockedLost.map((words) => `“${words}”`).join(', ') }}. They stay in the draft.</p>
    <template v-if="units.length">
      <p class="row-actions">
        <span>{{ counted(units.length, 'change') }}<template v-if="stops">, {{ counted(stops, 'stop') }} among them</template></span>
        <v-btn color="primary" variant="flat" :disabled="!current || takeable.length === 0" @click="proposal.take(units.filter(({ breaksLocked }) => !breaksLocked))">Accept {{ units.length === takeable.length ? 'all' : `the ${units.filter(({ breaksLocked }) => !breaksLocked).length} that may be` }}</v-btn>
        <v-btn :disabled="!current" @click="proposal.leave(units)">Reject all</v-btn>
      </p>
      <UnitsByFacet :proposal="proposal" />
      <p v-for="finding in whole" :key="finding.reason" class="found" :class="finding.severity">{{ finding.reason }}</p>
    </template>
    <p v-else-if="decided" role="status">{{ counts.taken + counts.left ? `Decided: ${counts.taken} accepted, ${counts.left} rejected. Ctrl Z undoes them one by one.` : 'The draft says all of it already.' }}</p>
    <p v-else class="soft" role="status">Comparing with the draft …</p>
  </div>
</template>

<style scoped>
.proposal {
  display: grid;
  gap: 12px;
}
.why {
  font-family: var(--serif);
  font-size: 15px;
}
.lost,
.found {
  padding-left: 10px;
  border-left: 1px solid var(--rule-strong);
}
.lost,
.found.stop {
  border-left: 2px solid var(--accent);
}
</style>
