import { parse as parseSubtitles } from '@plussub/srt-vtt-parser'
import { WaveFile } from 'wavefile'
import { WebVTTParser } from 'webvtt-parser'
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { type Cue } from '../src/cues/stepCues.ts'
import { sampleRate } from '../src/formats/clickTrack.ts'
import { moveNames, sayText, timeline, type Say, type Step } from '@esfuerzo/core'
import { captions, clickTrack, endOf, markdown, subRip, trackCues, webVtt } from '@esfuerzo/core/cues'
import { sessionArbitrary } from './arbitraries.ts'
import { library, sessionOf, station } from './sessions.ts'

const names = moveNames(library.moves)
const words = (step: Step) => sayText(step.say as Say, names, 'en')
const half = { half: 'half-way', halfSeconds: 2 }
const session = sessionOf([
  {
    id: 'b1',
    form: 'intervals',
    laps: { all: [{ work: 30, rest: 15 }] },
    stations: [
      station('squat', 'squat'),
      { ...station('march', 'march'), storyName: 'Over <the> sand & sea --> home' },
    ],
  },
  {
    id: 'b2',
    form: 'list',
    restAfter: { all: 0 },
    stations: [station('squat', 'squat', { dose: { unit: 'reps', amount: 10 } })],
  },
])
const steps = timeline(session, 'g1', library)
const track = captions(steps, words, half)

describe('captions', () => {
  it('show each step, its half-way call, its last three seconds, and the rep that is counted', () => {
    expect(track.slice(0, 6).map((c) => [c.at, c.until, c.text])).toEqual([
      [0, 15, 'Squat'],
      [15, 17, 'Squat · half-way'],
      [17, 27, 'Squat'],
      [27, 28, 'Squat · 3'],
      [28, 29, 'Squat · 2'],
      [29, 30, 'Squat · 1'],
    ])
    expect(track[6]!.text).toMatch(/^Breathe. Next: Over/)
    expect(track.filter((c) => /10 times · \d+$/.test(c.text)).map((c) => c.text.at(-1))).toHaveLength(10)
  })

  it('follow each other without a gap or an overlap to the end, whatever the session', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const all = timeline(w, w.groups[0]!.id, library)
        const list = captions(all, () => 'x', half)
        list.forEach((c, i) => {
          expect(c.until).toBeGreaterThan(c.at)
          expect(c.at).toBeCloseTo(i === 0 ? 0 : list[i - 1]!.until, 6)
        })
        expect(list.at(-1)?.until ?? 0).toBeCloseTo(endOf(all), 6)
      }),
    )
  })
})

describe('caption files', () => {
  it('are WebVTT that a published parser reads without an error, with the same texts and times', () => {
    const { cues, errors } = new WebVTTParser().parse(webVtt(track, 'Springs'), 'metadata')
    expect(errors).toEqual([])
    expect(cues.map((c) => [c.startTime, c.endTime])).toEqual(
      track.map((c) => [Math.round(c.at * 1000) / 1000, Math.round(c.until * 1000) / 1000]),
    )
    expect(cues.map((c) => c.text).join()).toContain('Over &lt;the&gt; sand &amp; sea → home')
  })

  it('are SubRip that a published parser reads', () => {
    const { entries } = parseSubtitles(subRip(track))
    expect(entries).toHaveLength(track.length)
    entries.forEach((entry, i) => {
      expect(entry.from).toBeCloseTo(track[i]!.at * 1000, -1)
      expect(entry.to).toBeCloseTo(track[i]!.until * 1000, -1)
    })
    expect(entries[0]!.text).toBe('Squat')
  })

  it('distinguish hours from minutes, and have no empty line inside a text', () => {
    expect(subRip([{ at: 3723.5, until: 3724, text: 'a\n\nb' }])).toBe('1\n01:02:03,500 --> 01:02:04,000\na\nb\n')
  })
})

describe('the click track', () => {
  const cues = trackCues(steps)
  const seconds = endOf(steps) + 2
  const bytes = clickTrack(cues, seconds)
  const wav = new WaveFile(bytes)
  const samples = wav.getSamples(false, Int16Array) as unknown as Int16Array

  it('is a WAV file that another program reads: 44.1 kHz, 16 bit, one channel, of the right length', () => {
    expect(wav.fmt).toMatchObject({ audioFormat: 1, numChannels: 1, sampleRate: 44_100, bitsPerSample: 16 })
    expect(samples.length).toBe(Math.ceil(seconds * sampleRate))
    expect(bytes.length).toBe(44 + samples.length * 2)
  })

  it('has every bell and tick at its exact sample, and silence before it', () => {
    const loud = cues.filter((c) => c.kind !== 'count')
    expect(loud.length).toBeGreaterThan(12)
    for (const cue of loud) {
      const at = Math.round(cue.at * sampleRate)
      expect(Math.abs(samples[at]!)).toBeGreaterThan(5000)
      const before = samples.subarray(Math.max(0, at - 40), at)
      expect(Math.max(0, ...before.map(Math.abs))).toBeLessThan(200)
    }
  })

  it('never overflows where sounds overlap', () => {
    const pile: Cue[] = Array.from({ length: 6 }, () => ({ at: 0, kind: 'bell', tone: 'work' }))
    const view = new DataView(clickTrack(pile, 0.1).buffer)
    expect(view.getInt16(44, true)).toBe(32767)
  })
})

describe('Markdown', () => {
  it('has the title, the lengths, the equipment and every section, with no text read as markup', () => {
    const text = markdown({ ...session, title: 'Springs *and* <b>' }, library)
    expect(text).toMatch(/^# Springs \\\*and\\\* \\<b\\>\n/)
    expect(text).toContain('| A |')
    expect(text).toMatch(/## .*\n\n```\n/)
    expect(text).toContain('Squat 10')
    expect(text.match(/```/g)!.length % 2).toBe(0)
  })
})
