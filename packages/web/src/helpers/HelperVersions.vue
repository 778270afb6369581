<script setup lang="ts">
import type { HelperVersion, HelperWhole } from '@idolon/contract'
import { computed, ref } from 'vue'
import WordDiff from '../desk/WordDiff.vue'
import SavedText from '../shared/SavedText.vue'
import { sayExactly, sayWhen } from '../shared/said.ts'

/** The versions of a helper, newest first, each with why it was made; what one changed can be read. */
const props = defineProps<{ whole: HelperWhole }>()
const emit = defineEmits<{ use: [version: HelperVersion]; why: [number: number, text: string] }>()
const open = ref(0)
const used = computed(() => props.whole.versions.find(({ number }) => number === props.whole.helper.current))
</script>

<template>
  <section aria-labelledby="versions-title">
    <h3 id="versions-title">Versions</h3>
    <ol>
      <li v-for="version in whole.versions" :key="version.number">
        <strong>{{ version.number }}</strong>
        <SavedText class="why" :value="version.why" :label="`Why version ${version.number}`" :maxlength="2000" placeholder="why it was made" @save="emit('why', version.number, $event)" />
        <time class="soft" :datetime="version.madeAt" :title="sayExactly(version.madeAt)">{{ sayWhen(version.madeAt) }}</time>
        <span v-if="version.number === whole.helper.current" class="kept">used</span>
        <span v-else class="row-actions"><v-btn variant="text" @click="emit('use', version)">Use it</v-btn><v-btn variant="text" :aria-expanded="open === version.number" @click="open = open === version.number ? 0 : version.number">What differs from the one used</v-btn></span>
        <div v-if="open === version.number && used" class="differs exact"><WordDiff :before="used.body.instruction" :after="version.body.instruction" /></div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  display: grid;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto auto;
  gap: 4px 14px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.why {
  width: 100%;
  padding: 2px 0;
  border: 0;
  background: none;
}
.differs {
  grid-column: 2 / -1;
  padding: 8px;
  background: var(--sheet);
}
</style>
