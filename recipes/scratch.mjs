// A scratch copy of the project, in which a recipe of CONTRIBUTING.md is followed: files written, lines put in, compiled, tested, thrown away.
import { execFileSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const workspaces = ['core', 'cli', 'library', 'plans', 'contract', 'server', 'web']

/** Packages as they are installed here; the project's own workspaces are the copy's. */
function linkPackages(from, to) {
  if (!existsSync(from)) return
  mkdirSync(to, { recursive: true })
  for (const name of readdirSync(from)) {
    if (name === '@esfuerzo') {
      mkdirSync(join(to, name))
      for (const one of readdirSync(join(from, name))) symlinkSync(join('..', '..', one), join(to, name, one))
    } else symlinkSync(join(from, name), join(to, name))
  }
}

/**
 * Opens a scratch copy with all tracked and changed files.
 *
 * @returns {{ write: (path: string, text: string) => void, add: (path: string, after: string | RegExp, text: string) => void,
 *   run: (program: string, ...words: string[]) => string, compile: () => void, asked: () => string[], replace: (path: string, what: string
 * | RegExp, by: string | ((found: string) => string)) => void,
 *   read: (path: string) => string, close: () => void }}
 */
export function openScratch() {
  const folder = mkdtempSync(join(tmpdir(), 'esfuerzo-recipe-'))
  const git = (...words) => execFileSync('git', words, { cwd: root, encoding: 'utf8', maxBuffer: 2 ** 28 })
  const files = git('ls-files', '--cached', '--others', '--exclude-standard', '-z').split('\0').filter(Boolean)
  for (const file of files) {
    if (!existsSync(join(root, file))) continue
    mkdirSync(join(folder, dirname(file)), { recursive: true })
    writeFileSync(join(folder, file), readFileSync(join(root, file)))
  }
  for (const at of ['', ...workspaces]) linkPackages(join(root, at, 'node_modules'), join(folder, at, 'node_modules'))
  function run(program, ...words) {
    const bin = join(folder, 'node_modules', '.bin')
    const env = { ...process.env, NO_COLOR: '1', PATH: `${bin}:${process.env.PATH}` }
    try {
      return execFileSync(program, words, { cwd: folder, encoding: 'utf8', stdio: 'pipe', env, maxBuffer: 2 ** 28 })
    } catch (error) {
      throw new Error(`${program} ${words.join(' ')}\n${error.stdout}${error.stderr}`, { cause: error })
    }
  }
  return {
    run,
    write(path, text) {
      mkdirSync(join(folder, dirname(path)), { recursive: true })
      writeFileSync(join(folder, path), text)
    },
    /** Puts a line after the first one that has `after` in it. */
    add(path, after, text) {
      const lines = readFileSync(join(folder, path), 'utf8').split('\n')
      const at = lines.findIndex((line) => (typeof after === 'string' ? line.includes(after) : after.test(line)))
      if (at < 0) throw new Error(`${path} has no line with ${after} to put something after`)
      writeFileSync(join(folder, path), lines.toSpliced(at + 1, 0, text).join('\n'))
    },
    read: (path) => readFileSync(join(folder, path), 'utf8'),
    /** Puts a text in place of the first that is found. */
    replace(path, what, by) {
      const before = readFileSync(join(folder, path), 'utf8')
      const after = before.replace(what, typeof by === 'string' ? () => by : by)
      if (after === before) throw new Error(`${path} has nothing like ${what}`)
      writeFileSync(join(folder, path), after)
    },
    /** The compiler over everything but the pages. */
    compile() {
      const native = join('node_modules', 'typescript-native', 'bin', 'tsc')
      run('node', native, '-b', 'core', 'library', 'contract', 'plans', '.', 'cli', 'server')
    },
    /** The files in which the compilers find something wrong, those of the tests left out. */
    asked() {
      const said = []
      const native = join('node_modules', 'typescript-native', 'bin', 'tsc')
      const compilers = [
        ['node', native, '-b', 'core', 'library', 'contract', 'plans', '.', 'cli', 'server'],
        ['vue-tsc', '-p', 'web'],
      ]
      for (const [program, ...words] of compilers)
        try {
          run(program, ...words)
        } catch (error) {
          said.push(error.message)
        }
      const files = said.join('\n').matchAll(/^([\w./-]+?\.(?:ts|vue))[(:]\d/gm)
      return [...new Set([...files].map(([, file]) => file))]
        .filter((file) => !/(?:^|\/)(?:test|e2e|bench)\//.test(file))
        .sort()
    },
    /** @throws {Error} what the compilers ask for and the recipe does not name, or names and they do not ask for */
    expectSame(asked, named) {
      const both = [...new Set([...asked, ...named])].filter((file) => asked.includes(file) !== named.includes(file))
      if (both.length)
        throw new Error(
          both
            .map((f) => `${f} is ${asked.includes(f) ? 'asked for and not named' : 'named and not asked for'}`)
            .join('\n'),
        )
    },
    close: () => rmSync(folder, { recursive: true, force: true }),
  }
}
