// What the screens are made of, in CycloneDX: as npm tells it, without the moment, so that the same sources give the same file.
import { execFileSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'

const [into] = process.argv.slice(2)
const bom = JSON.parse(
  execFileSync('npm', ['sbom', '--sbom-format=cyclonedx'], {
    encoding: 'utf8',
    maxBuffer: 100_000_000,
  }),
)
// with --omit=dev npm leaves out what tools need too, React among it
const development = (one) =>
  one.properties?.some(({ name }) => name === 'cdx:npm:package:development')
const left = new Set(bom.components.filter(development).map((one) => one['bom-ref']))
bom.components = bom.components.filter((one) => !left.has(one['bom-ref']))
bom.dependencies = bom.dependencies.filter(({ ref }) => !left.has(ref))
for (const one of bom.dependencies) {
  one.dependsOn = one.dependsOn?.filter((ref) => !left.has(ref))
}
delete bom.serialNumber
delete bom.metadata.timestamp
mkdirSync(dirname(into), { recursive: true })
writeFileSync(into, JSON.stringify(bom, null, 2))
