<script setup lang="ts">
import type { PromptSummary } from '@idolon/contract'
import { computed } from 'vue'
import { useProjects } from '../stores/projects.ts'
import { counted, sayExactly, sayWhen } from './said.ts'
import { useNow } from './use-now.ts'

/** A prompt as a row: its best proof, its words, and what is known of it. */
const props = withDefaults(defineProps<{ prompt: PromptSummary; to: string; project?: boolean; heading?: 'h2' | 'h3'; /** Why it was found, where the row does not show it. */ why?: string[] }>(), { project: true, heading: 'h3', why: () => [] })
const projects = useProjects()
const now = useNow()
const counts = computed(() => {
  const { versions, proofs, keepers } = props.prompt
  if (!versions) return 'not tried yet'
  return `${counted(versions, 'version')}, ${counted(proofs, 'proof')}${keepers ? `, ${keepers} kept` : ''}`
})
/** A title that was not given is how the text begins; the text may have spaces before that, the title has none. */
const excerpt = computed(() => {
  const text = props.prompt.excerpt.trimStart()
  return !props.prompt.named && text.startsWith(props.prompt.title) ? text.slice(props.prompt.title.length).replace(/^[\s,.;:]+/, '') : text
})
</script>

<template>
  <article class="prompt-row">
    <RouterLink :to="to" class="picture" tabindex="-1" aria-hidden="true">
      <img v-if="prompt.bestProof?.picture" :src="`/api/pictures/${prompt.bestProof.picture.sha256}/thumbnail`" alt="" loading="lazy" />
      <span v-else class="soft">{{ prompt.proofs ? 'none kept yet' : 'not tried yet' }}</span>
    </RouterLink>
    <div class="words">
      <component :is="heading" class="title">
        <RouterLink :to="to">{{ prompt.title }}</RouterLink>
      </component>
      <p class="excerpt">{{ excerpt }}</p>
      <p class="soft facts">
        <span :class="{ kept: prompt.status === 'proven' }">{{ prompt.status }}<template v-if="prompt.status === 'proven' && !prompt.keepers"> (without a keeper)</template></span>
        <span v-if="project">{{ projects.byId(prompt.projectId)?.name }}</span>
        <span v-if="prompt.tags.length">{{ prompt.tags.join(', ') }}</span>
        <span>{{ counts }}</span>
        <span v-if="why.length" class="why">{{ why.join('; ') }}</span>
        <time :datetime="prompt.changedAt" :title="sayExactly(prompt.changedAt)">{{ sayWhen(prompt.changedAt, now) }}</time>
      </p>
    </div>
    <div class="acts"><slot /></div>
  </article>
</template>

<style scoped>
.prompt-row {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr) auto;
  gap: 18px;
  align-items: center;
  padding: 12px 0;
  border-top: 1px solid var(--rule);
}
.picture {
  display: grid;
  place-items: center;
  height: 88px;
  overflow: hidden;
  background: var(--wash);
  font-size: 12.5px;
  text-decoration: none;
}
.picture img {
  display: block;
  width: 132px;
  height: 88px;
  object-fit: cover;
  object-position: 50% 70%;
}

.title {
  font-family: var(--serif);
  font-size: 18px;
}
.title a {
  text-decoration: none;
}
.title a:hover {
  text-decoration: underline;
}
.excerpt {
  font-family: var(--serif);
  font-size: 15px;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
  margin: 2px 0 5px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: 13px;
}
.acts {
  display: flex;
  gap: 12px;
}
</style>
