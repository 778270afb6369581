<script setup lang="ts">
import type { SheetProof } from '@idolon/contract'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { type Arrangement, CAPTION, GAP, layOut, NAMES, otherOptions, step, tileWidth } from './sheet-layout.ts'
import SheetTile from './SheetTile.vue'
import { pressed } from '../keys/key-map.ts'

/** Proofs in rows and columns, any number of them: only what is in sight is drawn. One is reached by arrows, many are selected. */
const props = defineProps<{ proofs: SheetProof[]; arrangement: Arrangement; height: number; selected: ReadonlySet<string> }>()
const emit = defineEmits<{ select: [ids: Set<string>]; open: [proof: SheetProof]; key: [event: KeyboardEvent, focused: SheetProof] }>()
const scroller = ref<HTMLElement>()
const { width } = useElementSize(scroller)
/** Room for the scroll bar. */
const BAR = 18

const layout = computed(() => layOut(props.proofs, props.arrangement, Math.max(200, width.value - BAR), props.height))
const tile = computed(() => tileWidth(props.height))
const rows = useVirtualizer(
  computed(() => ({
    count: layout.value.rows.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: (i: number) => layout.value.rows[i]?.height ?? props.height,
    overscan: 3,
    paddingStart: layout.value.columns.length ? 34 : 6,
  })),
)
watch(layout, () => rows.value.measure())

/** The proof that keys act on, by its place in the list: the first of the sheet as it is laid out, until another is gone to. */
const at = ref(0)
let anchor = 0
let gone = false
watch(layout, ({ rows: [first] }) => {
  if (!gone) at.value = anchor = first?.cells.flat()[0] ?? 0
}, { immediate: true })
watch(
  () => props.proofs.length,
  (count) => (at.value = Math.min(at.value, Math.max(0, count - 1))),
)

const rowOf = (place: number) => layout.value.rows.findIndex(({ cells }) => cells.some((cell) => cell.includes(place)))
async function reach(place: number): Promise<void> {
  gone = true
  at.value = place
  rows.value.scrollToIndex(rowOf(place), { align: 'auto' })
  await nextTick()
  scroller.value?.querySelector<HTMLElement>(`[data-place="${place}"]`)?.focus({ preventScroll: true })
}
const idsBetween = (a: number, b: number) => {
  const order = layout.value.rows.flatMap(({ cells }) => cells.flat())
  const [x, y] = [order.indexOf(a), order.indexOf(b)].sort((p, q) => p - q) as [number, number]
  return order.slice(x, y + 1).map((place) => props.proofs[place]!.id)
}
function toggle(place: number): void {
  const { id } = props.proofs[place]!
  const next = new Set(props.selected)
  if (!next.delete(id)) next.add(id)
  emit('select', next)
}
const placeOf = (event: Event): number | undefined => {
  const found = (event.target as HTMLElement).closest<HTMLElement>('[data-place]')?.dataset['place']
  return found === undefined ? undefined : Number(found)
}
function onClick(event: MouseEvent): void {
  const place = placeOf(event)
  if (place === undefined) return
  gone = true
  at.value = place
  if (event.shiftKey) emit('select', new Set([...(event.ctrlKey ? props.selected : []), ...idsBetween(anchor, place)]))
  else {
    anchor = place
    if (event.ctrlKey || event.metaKey) toggle(place)
    else emit('select', props.selected.size === 1 && props.selected.has(props.proofs[place]!.id) ? new Set() : new Set([props.proofs[place]!.id]))
  }
}
function onKey(event: KeyboardEvent): void {
  const focused = props.proofs[at.value]
  if (!focused) return
  const next = step(layout.value, at.value, event.key)
  const command = pressed('sheet', event)
  if (command === 'select') toggle(at.value)
  else if (pressed('picture', event) === 'open') emit('open', focused)
  else if (command === 'all') emit('select', new Set(props.proofs.map(({ id }) => id)))
  else if (command === 'none' && props.selected.size) emit('select', new Set())
  else if (/^(?:Arrow(?:Left|Right|Up|Down)|Home|End)$/.test(event.key)) {
    if (next !== undefined) {
      if (event.shiftKey) emit('select', new Set([...props.selected, ...idsBetween(at.value, next)]))
      else anchor = next
      void reach(next)
    }
  } else {
    emit('key', event, focused)
    return
  }
  event.preventDefault()
}
defineExpose({ focus: () => void reach(at.value), reached: computed(() => props.proofs[at.value]) })
</script>

<template>
  <div ref="scroller" class="scroller" role="listbox" aria-multiselectable="true" aria-label="Proofs; arrows go from one to the next, Space selects, Enter opens" :tabindex="proofs.length ? -1 : 0" @click="onClick" @dblclick="placeOf($event) !== undefined && emit('open', proofs[placeOf($event)!]!)" @keydown="onKey">
    <div class="all" role="presentation" :style="{ height: `${rows.getTotalSize()}px`, width: layout.columns.length ? `${NAMES + layout.columns.length * layout.columnWidth}px` : '100%' }">
      <div v-if="layout.columns.length" class="columns" role="presentation" :style="{ paddingLeft: `${NAMES}px` }">
        <span v-for="column in layout.columns" :key="column" :title="column" :style="{ width: `${layout.columnWidth}px` }">{{ column }}</span>
      </div>
      <div v-for="row in rows.getVirtualItems()" :key="row.index" class="row" role="presentation" :style="{ transform: `translateY(${row.start}px)` }">
        <span v-if="layout.columns.length" class="name" :title="layout.rows[row.index]?.name" :style="{ width: `${NAMES - 12}px` }">{{ layout.rows[row.index]?.name }}</span>
        <div v-for="(cell, c) in layout.rows[row.index]?.cells ?? []" :key="c" class="cell" role="presentation" :style="{ width: `${layout.columnWidth}px`, gap: `${GAP}px`, gridTemplateColumns: `repeat(${layout.across}, ${tile}px)`, gridAutoRows: `${height + CAPTION}px` }">
          <SheetTile v-for="place in cell" :key="proofs[place]!.id" :proof="proofs[place]!" :place="place" :options="otherOptions(proofs[place]!, arrangement)" :width="tile" :height="height" :selected="selected.has(proofs[place]!.id)" :reached="place === at" />
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
/* Without a ground of its own the browser draws all that is in sight again at every step of a scroll. */
.scroller {
  overflow: auto;
  background: var(--paper);
  min-height: 0;
  overscroll-behavior: contain;
  outline-offset: -2px;
}
.all {
  position: relative;
  min-width: 100%;
}
.columns {
  position: sticky;
  top: 0;
  z-index: 1;
  display: flex;
  height: 30px;
  align-items: center;
  background: var(--paper);
  border-bottom: 1px solid var(--rule);
  font-weight: 600;
}
.columns span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.row {
  position: absolute;
  top: 0;
  left: 0;
  display: flex;
}
.name {
  flex: none;
  margin-right: 12px;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 4;
  -webkit-box-orient: vertical;
  overflow-wrap: anywhere;
  font-weight: 600;
  height: fit-content;
}
.cell {
  flex: none;
  display: grid;
  align-content: start;
}
</style>
