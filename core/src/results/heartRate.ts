/** What a pulse belt sends at one moment. */
export interface HeartRate {
  /** Beats a minute. */
  rate: number
  /** Whether it has skin contact; undefined if the belt cannot tell. */
  contact?: boolean
  /** Seconds between beats, oldest first. */
  intervals: number[]
}

/** Bits of the first byte. */
const flags = { wide: 1, touching: 2, tellsTouch: 4, energy: 8, intervals: 16 }

/**
 * Reads a Heart Rate Measurement (characteristic 0x2A37) in the format of the Bluetooth SIG's Heart Rate Service 1.0, section 3.1: flags,
 * the rate in one byte or two, energy (two bytes, ignored: no child's energy is processed), then intervals between beats in 1/1024 s, all
 * little-endian.
 *
 * @throws {RangeError} if bytes are missing
 * @example decodeHeartRate(new DataView(Uint8Array.of(0x16, 120, 0x00, 0x02).buffer)) // { rate: 120, contact: true, intervals: [0.5] }
 */
export function decodeHeartRate(bytes: DataView): HeartRate {
  const flag = bytes.getUint8(0)
  const wide = (flag & flags.wide) !== 0
  const rate = wide ? bytes.getUint16(1, true) : bytes.getUint8(1)
  let at = wide ? 3 : 2
  if (flag & flags.energy) at += 2
  const intervals: number[] = []
  if (flag & flags.intervals) {
    for (; at < bytes.byteLength; at += 2) intervals.push(bytes.getUint16(at, true) / 1024)
  }
  return { rate, ...(flag & flags.tellsTouch && { contact: (flag & flags.touching) !== 0 }), intervals }
}

/**
 * The bytes of a Heart Rate Measurement, as a belt sends them; used by the simulated belt.
 *
 * @example encodeHeartRate({ rate: 120, contact: true, intervals: [0.5] }) // [22, 120, 0, 2]
 */
export function encodeHeartRate({ rate, contact, intervals }: HeartRate): Uint8Array {
  const wide = rate > 255
  const flag =
    (wide ? flags.wide : 0) |
    (contact === undefined ? 0 : flags.tellsTouch | (contact ? flags.touching : 0)) |
    (intervals.length ? flags.intervals : 0)
  const low = (n: number) => [n & 0xff, n >> 8]
  return Uint8Array.from([flag, ...(wide ? low(rate) : [rate]), ...intervals.flatMap((s) => low(Math.round(s * 1024)))])
}
