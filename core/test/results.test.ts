import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decodeHeartRate, encodeHeartRate, pulseRate } from '@esfuerzo/core/run'

const view = (...bytes: number[]) => new DataView(Uint8Array.from(bytes).buffer)

describe('a pulse counted with the fingers', () => {
  it('is beats × 60 ÷ seconds, with its resolution', () => {
    expect(pulseRate(12, 6)).toEqual({ rate: 120, step: 10 })
    expect(pulseRate(20, 10)).toEqual({ rate: 120, step: 6 })
    expect(pulseRate(31, 15)).toEqual({ rate: 124, step: 4 })
    expect(() => pulseRate(1, 0)).toThrow('above 0')
  })
})

// Field layout: Bluetooth SIG, Heart Rate Service 1.0, section 3.1, and GATT Specification Supplement, "Heart Rate Measurement": flags (bit
// 0 format, bits 1–2 contact, bit 3 energy, bit 4 RR), then the fields in that order.
describe('a pulse belt’s bytes', () => {
  it('one byte of rate, no contact sensor', () => {
    expect(decodeHeartRate(view(0x00, 72))).toEqual({ rate: 72, intervals: [] })
  })
  it('two bytes of rate, little-endian', () => {
    expect(decodeHeartRate(view(0x01, 0x2c, 0x01)).rate).toBe(300)
  })
  it('contact: supported and present, supported and absent', () => {
    expect(decodeHeartRate(view(0x06, 80)).contact).toBe(true)
    expect(decodeHeartRate(view(0x04, 80)).contact).toBe(false)
  })
  it('energy is skipped, intervals are read in 1/1024 s', () => {
    expect(decodeHeartRate(view(0x18, 120, 0xff, 0x7f, 0x00, 0x02, 0x00, 0x04))).toEqual({
      rate: 120,
      intervals: [0.5, 1],
    })
  })
  it('too few bytes are an error, not a number', () => {
    expect(() => decodeHeartRate(view(0x01, 72))).toThrow(RangeError)
    expect(() => decodeHeartRate(view(0x10, 72, 1))).toThrow(RangeError)
  })
  it('what the simulated belt sends is read correctly', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 65535 }),
        fc.option(fc.boolean(), { nil: undefined }),
        fc.array(fc.integer({ min: 0, max: 65535 }), { maxLength: 8 }),
        (rate, contact, raw) => {
          const sent = { rate, ...(contact !== undefined && { contact }), intervals: raw.map((n) => n / 1024) }
          expect(decodeHeartRate(new DataView(encodeHeartRate(sent).buffer as ArrayBuffer))).toEqual(sent)
        },
      ),
    )
  })
})
