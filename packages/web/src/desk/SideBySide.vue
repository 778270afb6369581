<script setup lang="ts">
import type { Draft, EngineProfile, Output } from '@idolon/core'
import { ref, toRaw, watch } from 'vue'
import type { DraftSession } from './draft-session.ts'
import OutputText from './OutputText.vue'

/** The same draft as other engines are given it, side by side. */
const props = defineProps<{ session: DraftSession; draft: Draft; profiles: readonly EngineProfile[] }>()
const outputs = ref<{ profile: EngineProfile; output: Output }[]>([])
watch(
  [() => props.draft, () => props.profiles],
  async ([draft, profiles]) => {
    const said = await Promise.all(profiles.map(async (profile) => ({ profile, output: await props.session.reading.ask('output', { draft, engine: toRaw(profile) }) })))
    // Typed on meanwhile: the next answer is on its way.
    if (draft === props.draft) outputs.value = said
  },
  { immediate: true },
)
</script>

<template>
  <div class="beside">
    <section v-for="{ profile, output } in outputs" :key="profile.id + profile.revision" :aria-label="`For ${profile.name} ${profile.revision}`">
      <h2>{{ profile.name }} <span class="soft">{{ profile.revision }}</span></h2>
      <OutputText :output="output" :profile="profile" :draft="draft" />
    </section>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 22px;
}
section {
  display: grid;
  gap: 10px;
  align-content: start;
  min-width: 0;
}
h2 {
  font-size: 15px;
}
h2 .soft {
  font-weight: 400;
}
</style>
