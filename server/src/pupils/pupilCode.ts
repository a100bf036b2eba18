import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto'
import { codeCount, codeLengths, codeOf } from '@esfuerzo/core/classBook'

const hmac = (secret: string, text: string) => createHmac('sha256', secret).update(text).digest()

/**
 * A pupil's code, from its id, the number of its slip and the server's secret: it can always be generated again, and is stored nowhere.
 *
 * @param slip raised until no other of the teacher's pupils has the same code
 */
export const pupilCode = (id: string, slip: number, secret: string): string =>
  // Forty-eight bits: all codes are equally likely to within one in a million.
  codeOf(hmac(secret, `pupil-code-6:${id}:${slip}`).readUIntBE(0, 6) % codeCount(codeLengths.now), codeLengths.now)

/** The short code printed before codes became longer. It works until the long one is used, or a new slip is made. */
export const shortCode = (id: string, slip: number, secret: string): string =>
  codeOf(hmac(secret, `pupil-code:${id}:${slip}`).readUIntBE(0, 6) % codeCount(codeLengths.before), codeLengths.before)

/**
 * The first number of a slip, from a given one on, whose code is free.
 *
 * @param taken codes of the teacher's other pupils
 */
export function freeSlip(
  id: string,
  from: number,
  secret: string,
  taken: ReadonlySet<string>,
  codeFor: typeof pupilCode = pupilCode,
): number {
  let slip = from
  while (taken.has(codeFor(id, slip, secret))) slip++
  return slip
}

const seal = (id: string, slip: number, device: string, secret: string) =>
  hmac(secret, `pupil-key:${id}:${slip}:${device}`).subarray(0, 16)

/** The key a device sends with a pupil's runs: its own, valid as long as the slip. */
export function pupilKey(id: string, slip: number, secret: string): string {
  const device = randomBytes(9).toString('base64url')
  return `${id}.${device}.${seal(id, slip, device, secret).toString('base64url')}`
}

/** The pupil a key names, to be looked up and compared with its slip; undefined if the text cannot be a key. */
export function keyOfPupil(key: string): { id: string; isFor: (slip: number, secret: string) => boolean } | undefined {
  const [, id, device, mark] = /^([0-9a-f-]{36})\.([\w-]{12})\.([\w-]{22})$/.exec(key) ?? []
  if (!id || !device || !mark) return undefined
  return {
    id,
    isFor: (slip, secret) => timingSafeEqual(Buffer.from(mark, 'base64url'), seal(id, slip, device, secret)),
  }
}
