import { useFileDialog } from '@vueuse/core'

/** Opens the browser's own dialog for files; what is chosen is handed on, and the same file can be chosen again. */
export function usePickFiles(options: { accept?: string; multiple?: boolean; directory?: boolean }, take: (files: File[]) => void): () => void {
  const { open, onChange } = useFileDialog({ multiple: false, reset: true, ...options })
  onChange((list) => {
    if (list?.length) take([...list])
  })
  return () => open()
}

export const TABLE_FILES = '.csv,.tsv,.txt,text/csv,text/plain'
export const JSON_FILES = 'application/json,.json'
