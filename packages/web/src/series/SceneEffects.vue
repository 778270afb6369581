<script setup lang="ts">
import type { SceneOffer, Series } from '@idolon/contract'
import { computed } from 'vue'
import WordDiff from '../desk/WordDiff.vue'
import { counted } from '../shared/said.ts'

/** What changed parts change in scenes: the new text against the old, scene by scene; to take or to leave, or only to look at. */
const props = defineProps<{ series: Series; offers: readonly SceneOffer[]; decides: boolean; busy: boolean }>()
const emit = defineEmits<{ decide: [take: SceneOffer[], leave: SceneOffer[]] }>()
const rows = computed(() =>
  props.offers.flatMap((offer) => {
    const place = props.series.scenes.findIndex(({ id }) => id === offer.sceneId)
    const scene = props.series.scenes[place]
    return scene ? [{ offer, scene, number: place + 1, part: props.series.parts.find(({ id }) => id === offer.partId)?.body.name ?? 'a part in the bin' }] : []
  }),
)
const changing = computed(() => rows.value.filter(({ offer }) => offer.changed.length || offer.besides.length))
/** A scene that says it already as it is now only takes the number of the version along. */
const seen = computed(() => rows.value.filter(({ offer }) => offer.changed.length || offer.besides.length || offer.overrides.length))
const unchanged = computed(() => rows.value.length - seen.value.length)
const stales = computed(() => rows.value.filter(({ offer }) => offer.stales).length)
</script>

<template>
  <section class="effects" aria-label="What it changes">
    <p role="status">
      <strong>{{ changing.length ? `Changes ${counted(changing.length, 'scene')}` : 'Changes no scene' }}</strong><template v-if="stales">; {{ counted(stales, 'chosen proof') }} would be stale</template>.
      <template v-if="decides && rows.length"> <v-btn color="primary" variant="flat" :disabled="busy" @click="emit('decide', [...offers], [])">Accept all</v-btn> <v-btn variant="text" :disabled="busy" @click="emit('decide', [], [...offers])">Reject all</v-btn></template>
    </p>
    <ul>
      <li v-for="{ offer, scene, number, part } in seen" :key="`${offer.sceneId} ${offer.partId}`">
        <p class="head"><span class="number">{{ number }}</span> <RouterLink :to="`/desk/${scene.promptId}`">{{ scene.body.beat || 'A scene without words' }}</RouterLink> <span class="soft">{{ part }}{{ offer.stales ? '; its chosen proof would be stale' : scene.stale ? '; its chosen proof is stale' : '' }}</span></p>
        <WordDiff :before="scene.text" :after="offer.text" />
        <p v-if="offer.besides.length" class="soft">Its {{ offer.besides.join(' and ') }} {{ offer.besides.length > 1 || offer.besides[0] === 'reference pictures' ? 'change' : 'changes' }}, too.</p>
        <p v-for="(one, i) in offer.overrides" :key="i" class="soft">Override: {{ one.text === null ? `“${one.given}” is not said here` : `it says “${one.text}” here instead of “${one.given}”` }}; it stays.</p>
        <p v-if="decides" class="row-actions"><v-btn variant="text" :disabled="busy" @click="emit('decide', [offer], [])">Accept</v-btn><v-btn variant="text" :disabled="busy" @click="emit('decide', [], [offer])">Reject</v-btn></p>
      </li>
    </ul>
    <p v-if="unchanged" class="soft">{{ counted(unchanged, 'scene') }} {{ seen.length ? 'besides ' : '' }}{{ unchanged === 1 ? 'has' : 'have' }} it and stay{{ unchanged === 1 ? 's' : '' }} as {{ unchanged === 1 ? 'it is' : 'they are' }}.</p>
  </section>
</template>

<style scoped>
.effects {
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  gap: 3px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
li :deep(.word-diff) {
  font-size: 15px;
}
.head a {
  font-weight: 600;
}
.head .soft {
  margin-left: 6px;
  font-size: 13px;
}
.number {
  font-family: var(--mono);
  font-size: 13px;
  color: var(--soft);
}
</style>
