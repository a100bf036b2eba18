/** A linear expression: variables with factors, and a constant. */
export interface Linear {
  of: ReadonlyMap<string, number>
  constant: number
}

/**
 * The sum of expressions, variables and numbers, each with a factor.
 *
 * @example sum(['x', 2], [3]).constant // 3
 */
export function sum(...parts: readonly (readonly [of: string | number | Linear, factor?: number])[]): Linear {
  const factors = new Map<string, number>()
  let constant = 0
  const add = (name: string, n: number) => factors.set(name, (factors.get(name) ?? 0) + n)
  for (const [part, factor = 1] of parts)
    if (typeof part === 'number') constant += factor * part
    else if (typeof part === 'string') add(part, factor)
    else {
      constant += factor * part.constant
      for (const [name, n] of part.of) add(name, factor * n)
    }
  return { of: factors, constant }
}

/** @example total(['x', 'y']).of.size // 2 */
export const total = (parts: readonly (string | Linear)[]): Linear => sum(...parts.map((part) => [part] as const))

/** Variables in the LP format, one per line, so that no line gets too long for a solver's reader. */
const written = (factors: ReadonlyMap<string, number>): string =>
  [...factors].map(([name, n]) => `${n < 0 ? '-' : '+'} ${Math.abs(n)} ${name}`).join('\n ')

/** A mixed-integer program being built. */
export class Program {
  readonly #lines: string[] = []
  readonly #binaries = new Set<string>()

  /** Declares a variable that is 0 or 1. The others are 0 or more. */
  binary(name: string): string {
    this.#binaries.add(name)
    return name
  }

  /** A constraint; one without variables is left out. */
  line({ of: factors, constant }: Linear, relation: '<=' | '=' | '>=', value: number): void {
    if (factors.size) this.#lines.push(`c${this.#lines.length}: ${written(factors)} ${relation} ${value - constant}`)
  }

  /** The program in the LP format that solvers read. */
  maximize({ of: factors }: Linear): string {
    const names = [...this.#binaries]
    return [
      'Maximize',
      // The format requires an objective even if there is none.
      ` obj: ${factors.size ? written(factors) : `0 ${names[0] ?? 'none'}`}`,
      'Subject To',
      ...(this.#lines.length ? this.#lines.map((line) => ` ${line}`) : [' c0: none >= 0']),
      ...(names.length ? ['Binary', ...names.map((name) => ` ${name}`)] : []),
      'End',
    ].join('\n')
  }
}
