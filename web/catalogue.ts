import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { getProperties } from 'properties-file'
import type { Plugin } from 'vite'

/** The one catalogue of messages, for server and screens: a file a language. */
export const FOLDER = fileURLToPath(
  new URL('../core/src/main/resources/vividcrown/core/', import.meta.url),
)
const NAME = /^sentences(?:_(\w+))?\.properties$/
const ID = 'virtual:catalogue'

/** Every language, by its tag: what each key says. */
export function languages(): Record<string, Record<string, string>> {
  return Object.fromEntries(
    readdirSync(FOLDER).flatMap((file) => {
      const found = NAME.exec(file)
      return found
        ? [[found[1] ?? 'en', getProperties(readFileSync(FOLDER + file, 'utf-8'))] as const]
        : []
    }),
  )
}

/** Gives the catalogue to the screens. */
export const catalogue = (): Plugin => ({
  name: 'catalogue',
  resolveId: (id) => (id === ID ? `\0${ID}` : undefined),
  load(id) {
    if (id !== `\0${ID}`) return undefined
    this.addWatchFile(`${FOLDER}sentences.properties`)
    return `export default ${JSON.stringify(languages())}`
  },
})
