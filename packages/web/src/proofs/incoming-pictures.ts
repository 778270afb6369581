import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { usePickFiles } from '../shared/pick-files.ts'
import { PICTURES } from './upload.ts'

/** Pictures that are chosen, dropped or pasted, many at once; what is pasted into a field stays there. */
export function useIncomingPictures(take: (files: readonly File[]) => unknown) {
  const over = ref(false)
  const pick = usePickFiles({ accept: PICTURES, multiple: true }, (files) => void take(files))
  const drop = (event: DragEvent) => {
    over.value = false
    void take([...(event.dataTransfer?.files ?? [])])
  }
  useEventListener(document, 'paste', (event: ClipboardEvent) => {
    const inField = event.target instanceof HTMLElement && (event.target.isContentEditable || /^(INPUT|TEXTAREA)$/.test(event.target.tagName))
    const files = [...(event.clipboardData?.files ?? [])]
    if (inField || files.length === 0) return
    event.preventDefault()
    void take(files)
  })
  return { over, drop, pick }
}
