declare module 'virtual:catalogue' {
  /** By the language's tag: what each key says. */
  const languages: Record<string, Record<string, string>>
  export default languages
}
