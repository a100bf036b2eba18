import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { limits, ProblemError } from '@esfuerzo/core'
import { planBounds } from '../src/bounds.ts'
import { readPlan } from '../src/readPlan.ts'
import { bullets, docx, down, heading, odt, pdf, picture, png, utf8, xlsx } from './support/made.ts'

/** Why a file was refused. */
const refusal = async (bytes: Uint8Array, name: string): Promise<string> => {
  try {
    const { texts } = await readPlan(bytes, name)
    return `read: ${texts.join('\n---\n')}`
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    const [{ code, path, received }] = error.problems as [ProblemError['problems'][number]]
    expect(path).toEqual([name])
    return [code, typeof received === 'string' ? received : ''].filter(Boolean).join(' ')
  }
}
const mib = 1024 * 1024
const contentTypes = strToU8(
  '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
)
const rels = strToU8(
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
)
const wordXml = (body: string, before = '') =>
  strToU8(
    `<?xml version="1.0"?>${before}<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>${body}</w:body></w:document>`,
  )
const paragraph = (text: string) => `<w:p><w:r><w:t>${text}</w:t></w:r></w:p>`
const word = (document: Uint8Array, more: Record<string, Uint8Array> = {}) =>
  zipSync({ '[Content_Types].xml': contentTypes, '_rels/.rels': rels, 'word/document.xml': document, ...more })

describe('a hostile or unreadable file', () => {
  it('that unpacks to too much is counted, not believed', async () => {
    // 40 MB of blanks in about 40 KB.
    const bomb = word(new Uint8Array(40 * mib).fill(32))
    expect(bomb.length).toBeLessThan(100_000)
    expect(await refusal(bomb, 'bomb.docx')).toBe('file-too-big')
    // Its directory lies: the size in the header of each part is set to zero.
    const lying = bomb.slice()
    for (let i = 0; i < lying.length - 30; i++)
      if (lying[i] === 0x50 && lying[i + 1] === 0x4b && lying[i + 2] === 3) lying.fill(0, i + 22, i + 26)
    expect(await refusal(lying, 'bomb.docx')).toMatch(/^file-(?:too-big|broken)$/)
    const many = zipSync(Object.fromEntries(Array.from({ length: 2500 }, (_, i) => [`word/part${i}.xml`, utf8('x')])))
    expect(await refusal(many, 'many.docx')).toBe('file-too-big')
    expect(await refusal(new Uint8Array(planBounds.bytes + 1), 'large.txt')).toBe('file-too-big')
  })

  it('that is small but would become a tree of a thousand megabytes is refused before it grows', async () => {
    const long = word(wordXml(paragraph('Squats x10').repeat(40_000)))
    expect(long.length).toBeLessThan(20_000)
    expect(await refusal(long, 'long.docx')).toBe('file-too-big')
    // Formatting does not count as length: a document that is long only because of it is read.
    const dressed = `<w:p w:rsidR="00A1B2C3"><w:r><w:rPr>${'<w:b/><w:sz w:val="24"/>'.repeat(40)}</w:rPr><w:t>Squats x10</w:t></w:r></w:p>`
    expect(await refusal(word(wordXml(dressed.repeat(2000))), 'dressed.docx')).toMatch(/^read: Squats x10\nSquats x10/)
  })

  it('with more pieces on its pages, or more pages, than anybody reads is refused', async () => {
    // 18 pages of 704 pieces: a few more than the 12 000 that are read.
    const crowded = Array.from({ length: 16 }, (_, c) =>
      down(20 + c * 30, 800, ...Array.from({ length: 44 }, () => 'S')),
    ).flat()
    expect(await refusal(await pdf(Array.from({ length: 18 }, () => crowded)), 'crowded.pdf')).toBe('file-too-big')
    expect(await refusal(await pdf(Array.from({ length: 51 }, () => [['S', 50, 700]])), 'book.pdf')).toBe(
      'file-too-big',
    )
  })

  it('with ten thousand rows is refused', async () => {
    const rows = Array.from({ length: 10_000 }, (_, i) => [`Squat ${i}`, i])
    expect(await refusal(await xlsx({ Sheet1: rows }), 'rows.xlsx')).toBe('file-too-big')
    expect(await refusal(utf8(rows.map((r) => r.join(';')).join('\n')), 'rows.csv')).toBe('file-too-big')
    const { cut, texts } = await readPlan(utf8(rows.map((r) => r.join(' x')).join('\n')), 'rows.txt')
    expect([cut, texts[0]!.split('\n').length]).toEqual([true, limits.lines])
  })

  it('with a password is refused', async () => {
    // Compound files contain what is encrypted (MS-OFFCRYPTO 2.1); the same header with another name is a document from before 2007.
    const compound = new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 0xa1, 0xb1, 0x1a, 0xe1, ...new Uint8Array(600)])
    expect(await refusal(compound, 'plan.docx')).toBe('file-locked')
    expect(await refusal(compound, 'plan.doc')).toBe('file-kind .doc')
    const zipped = word(wordXml(paragraph('Squats x10')))
    zipped[6]! |= 1
    expect(await refusal(zipped, 'plan.docx')).toBe('file-locked')
    const manifest = utf8('<manifest:file-entry><manifest:encryption-data/></manifest:file-entry>')
    expect(await refusal(odt('<text:p>x</text:p>', { 'META-INF/manifest.xml': manifest }), 'plan.odt')).toBe(
      'file-locked',
    )
    // ISO 32000-1, 7.6: a document whose user password is not empty.
    const locked = utf8(
      '%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n2 0 obj<</Type/Pages/Kids[]/Count 0>>endobj\n3 0 obj<</Filter/Standard/V 1/R 2/P -4/O(01234567890123456789012345678901)/U(01234567890123456789012345678901)>>endobj\ntrailer<</Root 1 0 R/Encrypt 3 0 R/ID[(a)(b)]/Size 4>>\n%%EOF',
    )
    expect(await refusal(locked, 'plan.pdf')).toBe('file-locked')
  })

  it('with pictures only is refused', async () => {
    expect(await refusal(await docx([picture(), picture()]), 'scan.docx')).toBe('file-empty')
    expect(await refusal(await pdf([[], []]), 'scan.pdf')).toBe('file-empty')
    expect(await refusal(png, 'board.png')).toBe('file-picture')
    expect(await refusal(png, 'board.docx')).toBe('file-picture')
    // Content that is not text is reported.
    const { pictures } = await readPlan(
      await docx([heading('Main part'), picture(), ...bullets('Squats x10')]),
      'a.docx',
    )
    expect(pictures).toHaveLength(1)
  })

  it('with macros is refused', async () => {
    const macros = word(wordXml(paragraph('Squats x10')), { 'word/vbaProject.bin': utf8('x') })
    expect(await refusal(macros, 'plan.docx')).toBe('file-kind .docm')
    const sheet = await xlsx({ Sheet1: [['Squats', 10]] })
    const { unzipSync } = await import('fflate')
    const withMacros = zipSync({ ...unzipSync(sheet), 'xl/vbaProject.bin': utf8('x') })
    expect(await refusal(withMacros, 'plan.xlsx')).toBe('file-kind .xlsm')
  })

  it('with entities that grow, or that point to files, is refused', async () => {
    const laughs = `<!DOCTYPE x [<!ENTITY a "ha">${Array.from({ length: 9 }, (_, i) => `<!ENTITY ${'bcdefghij'[i]} "${`&${'abcdefghi'[i]};`.repeat(10)}">`).join('')}]>`
    expect(await refusal(word(wordXml(paragraph('&j;'), laughs)), 'laughs.docx')).toBe('file-broken')
    const reaching = '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]>'
    expect(await refusal(word(wordXml(paragraph('&a;'), reaching)), 'reach.docx')).toBe('file-broken')
  })

  it('with names that climb out of the archive is refused', async () => {
    const climbing = word(wordXml(paragraph('Squats x10') + paragraph('Lunges x8')), {
      '../../etc/passwd': utf8('x'),
      'word/../../styles.xml': utf8('<!'),
    })
    // They are not parts: the rest is read.
    expect(await refusal(climbing, 'climb.docx')).toBe('read: Squats x10\nLunges x8\n')
  })

  it('that is not a document, or half of one, is refused', async () => {
    const whole = word(wordXml(paragraph('Squats x10')))
    expect(await refusal(whole.slice(0, whole.length / 2), 'half.docx')).toMatch(/^file-(?:broken|kind)/)
    expect(await refusal(word(utf8('<w:document')), 'odd.docx')).toMatch(/^file-(?:broken|empty)$/)
    expect(await refusal((await pdf([[['Squats', 50, 700]]])).slice(0, 200), 'half.pdf')).toMatch(
      /^file-(?:broken|empty)$/,
    )
    expect(await refusal(utf8('{\\rtf1 Squats}'), 'plan.rtf')).toBe('file-kind .rtf')
    expect(await refusal(zipSync({ 'a.txt': utf8('x') }), 'plans.zip')).toBe('file-kind .zip')
    expect(await refusal(zipSync({ 'ppt/presentation.xml': utf8('x') }), 'plan.pptx')).toBe('file-kind .pptx')
    expect(await refusal(new Uint8Array([1, 0, 2, 0, 3, 0, 0, 0, 0, 4]), 'plan.pages')).toBe('file-kind .pages')
    expect(await refusal(new Uint8Array(), 'empty.txt')).toBe('file-empty')
  })

  it('with any of its bytes changed is read, or refused in words', async () => {
    const { default: fc } = await import('fast-check')
    const good = [
      await docx([heading('Main part'), ...bullets('Squats x10')]),
      await pdf([[['Squats x10', 50, 700]]]),
      odt('<text:p>Squats x10</text:p>'),
    ]
    const names = ['a.docx', 'a.pdf', 'a.odt']
    await fc.assert(
      fc.asyncProperty(
        fc.nat(2),
        fc.array(fc.tuple(fc.nat(), fc.nat(255)), { minLength: 1, maxLength: 20 }),
        async (n, changes) => {
          const bytes = good[n]!.slice()
          for (const [at, value] of changes) bytes[at % bytes.length] = value
          expect(await refusal(bytes, names[n]!)).toMatch(/^(?:read: |file-)/)
        },
      ),
      { numRuns: process.env.VERIFY ? 1500 : 25 },
    )
  })
})
