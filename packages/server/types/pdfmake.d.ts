declare module 'pdfmake' {
  const pdfmake: {
    setFonts(fonts: Record<string, Record<string, string>>): void
    setUrlAccessPolicy(allowed: (url: string) => boolean): void
    setLocalAccessPolicy(allowed: (path: string) => boolean): void
    createPdf(document: unknown): { getBuffer(): Promise<Buffer> }
  }
  export default pdfmake
}
