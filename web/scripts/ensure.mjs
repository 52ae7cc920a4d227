// Installs the packages of the lock file, unless exactly those are installed already.
import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'

const stamp = 'node_modules/.installed-lock'
const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== wanted) {
  // Not "npm ci": it wants the binaries of every other platform listed in the lock file, and npm leaves them out.
  execFileSync('npm', ['install', '--no-save', '--no-fund', '--no-audit'], { stdio: 'inherit' })
  writeFileSync(stamp, wanted)
}
