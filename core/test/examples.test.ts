import { readdirSync, readFileSync } from 'node:fs'
import { runInNewContext } from 'node:vm'
import { expect, it } from 'vitest'

/** Examples of the public functions that can be run as written: `@example f(1, 2) // 3`. Those that need a session describe it in words. */
const folder = new URL('../src/', import.meta.url)
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.ts'))
const examples = files.flatMap((file) =>
  [...readFileSync(new URL(file, folder), 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map(
    ([, call, value]) => ({ file, call: call!, value: value!.trim() }),
  ),
)
const modules = await Promise.all(files.map((file) => import(new URL(file, folder).href) as Promise<object>))
/** All exports of any file of the core. */
const core = Object.assign({}, ...modules) as Record<string, unknown>
const names = Object.keys(core)
/** Calls of public functions with only literals as arguments. */
const selfContained = examples.filter(({ call, value }) => {
  const name = /^(\w+)\(/.exec(call)?.[1]
  const words = call.replace(/'[^']*'|"[^"]*"/g, '').match(/[A-Za-z_]\w*/g) ?? []
  const free = words.filter((w, i) => i > 0 && !['true', 'false', 'undefined', 'n'].includes(w) && !isKey(call, w))
  return name !== undefined && names.includes(name) && free.length === 0 && !/…/.test(call + value)
})
/** Bytes as the list shown in the example. */
const plain = (value: unknown): unknown => (value instanceof Uint8Array ? [...value] : value)

function isKey(call: string, word: string): boolean {
  return new RegExp(`[{,] *${word}:`).test(call)
}

it('every runnable example in the docs of the core is true', () => {
  expect(selfContained.length).toBeGreaterThanOrEqual(40)
  const wrong = selfContained.flatMap(({ file, call, value }) => {
    const evaluate = (text: string): unknown => runInNewContext(`(${text})`, { ...core })
    try {
      const got = evaluate(call)
      let wanted: unknown
      try {
        wanted = evaluate(value)
      } catch {
        // A value described in words is compared with its printed form.
        return String(got) === value ? [] : [`${file}: ${call} gives ${JSON.stringify(got)}, not ${value}`]
      }
      if (typeof got === 'number' && typeof wanted === 'number') {
        // A number is compared to the digits shown.
        const told = Math.abs(got - wanted) <= 1e-9 * Math.max(1, Math.abs(wanted))
        return told ? [] : [`${file}: ${call} gives ${got}, not ${wanted}`]
      }
      return JSON.stringify(plain(got)) === JSON.stringify(wanted)
        ? []
        : [`${file}: ${call} gives ${JSON.stringify(got)}, not ${JSON.stringify(wanted)}`]
    } catch (error) {
      return [`${file}: ${call} fails: ${(error as Error).message}`]
    }
  })
  expect(wrong).toEqual([])
})

it('examples name existing functions', () => {
  const called = examples.flatMap(({ file, call }) => {
    const name = /^(\w+)\(/.exec(call)?.[1]
    const source = readFileSync(new URL(file, folder), 'utf8')
    return name && !names.includes(name) && !new RegExp(`\\b(function|const) ${name}\\b`).test(source)
      ? [`${file}: ${name}`]
      : []
  })
  expect(called).toEqual([])
})
