declare module '*.vue' {
  import type { DefineComponent } from 'vue'
  const component: DefineComponent<object, object, unknown>
  export default component
}
declare module 'virtual:contract-validators' {
  /** By the name of a shape: loads its check. */
  const checks: Record<string, (() => Promise<{ default: (value: unknown) => boolean }>) | undefined>
  export default checks
}
declare module '@fontsource-variable/*'
