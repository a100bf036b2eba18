import { createRequire } from 'node:module'
import htmlToDocx from 'html-to-docx'
import pdfmake from 'pdfmake'
import { ListItem, TextDocument } from 'simple-odf'
import writeExcel from 'write-excel-file/node'
import { expect, it } from 'vitest'
import { print, readText } from '@esfuerzo/core/notation'
import { library } from '../../core/test/sessions.ts'
import { readPlan } from '../src/readPlan.ts'
import { bullets, docx, down, heading, pdf, table, title, utf8, xlsx } from './support/made.ts'

const require = createRequire(import.meta.url)
/** The same plan from every program that wrote it. */
const whiteboard = `# Ferry day
minutes 20; groups K-1, 2-3, 4-6; space mat

## Warm-up
March on the spot 30 s
Arm circles 10

## Main part
Squat 10
Plank 20 s
`
const html =
  '<h1>Ferry day</h1><h2>Warm-up</h2><ul><li>March 30 s</li><li>Arm circles x10</li></ul><h2>Main part</h2><table><tr><th>Exercise</th><th>Dose</th></tr><tr><td>Squats</td><td>10</td></tr><tr><td>Plank</td><td>20 s</td></tr></table>'
const rows = [
  ['Ferry day'],
  ['Warm-up'],
  ['Exercise', 'Dose'],
  ['March', '30 s'],
  ['Arm circles', 10],
  ['Main part'],
  ['Exercise', 'Dose'],
  ['Squats', 10],
  ['Plank', '20 s'],
]

async function pdfByPdfmake(): Promise<Uint8Array> {
  const fonts =
    require.resolve('@expo-google-fonts/atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf')
  pdfmake.setFonts({ Face: { normal: fonts, bold: fonts, italics: fonts, bolditalics: fonts } })
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy((path: string) => path === fonts)
  return pdfmake
    .createPdf({
      defaultStyle: { font: 'Face', fontSize: 11 },
      content: [
        { text: 'Ferry day', fontSize: 22 },
        { text: 'Warm-up', fontSize: 15 },
        { ul: ['March 30 s', 'Arm circles x10'] },
        { text: 'Main part', fontSize: 15 },
        {
          table: {
            widths: [200, 100],
            body: [
              ['Exercise', 'Dose'],
              ['Squats', '10'],
              ['Plank', '20 s'],
            ],
          },
        },
      ],
    })
    .getBuffer()
}

const files: [string, string, () => Promise<Uint8Array>][] = [
  [
    'docx',
    'plan.docx',
    () =>
      docx([
        title('Ferry day'),
        heading('Warm-up'),
        ...bullets('March 30 s', 'Arm circles x10'),
        heading('Main part'),
        table(['Exercise', 'Dose'], ['Squats', '10'], ['Plank', '20 s']),
      ]),
  ],
  ['html-to-docx', 'plan.docx', async () => new Uint8Array((await htmlToDocx(html)) as Uint8Array)],
  ['simple-odf', 'plan.fodt', async () => utf8(odfOf())],
  ['exceljs', 'plan.xlsx', () => xlsx({ Sheet1: rows })],
  [
    'write-excel-file',
    'plan.xlsx',
    async () =>
      new Uint8Array(
        await writeExcel(
          rows.map((row) =>
            row.map((value) =>
              typeof value === 'number' ? { value, type: Number } : { value: String(value), type: String },
            ),
          ),
        ).toBuffer(),
      ),
  ],
  [
    'pdf-lib',
    'plan.pdf',
    () =>
      pdf([
        [
          ['Ferry day', 50, 780, 22],
          ['Warm-up', 50, 740, 15],
          ...down(60, 715, '• March 30 s', '• Arm circles x10'),
          ['Main part', 50, 660, 15],
          ...down(60, 635, 'Exercise', 'Squats', 'Plank'),
          ...down(220, 635, 'Dose', '10', '20 s'),
        ],
      ]),
  ],
  ['pdfmake', 'plan.pdf', pdfByPdfmake],
  ['a browser’s clipboard', 'clipboard.html', async () => utf8(`<meta charset="utf-8">${html}`)],
]
function odfOf(): string {
  const document = new TextDocument()
  const body = document.getBody()
  body.addHeading('Ferry day', 1)
  body.addHeading('Warm-up', 2)
  const list = body.addList()
  for (const text of ['March 30 s', 'Arm circles x10']) {
    const item = new ListItem()
    item.addParagraph(text)
    list.addItem(item)
  }
  body.addHeading('Main part', 2)
  // It makes no tables.
  body.addParagraph('Squats x10')
  body.addParagraph('Plank 20 s')
  return document.toString()
}

it.each(files)('a file of %s is read as the plan it is', async (_, name, bytes) => {
  const { texts } = await readPlan(await bytes(), name)
  expect(texts).toHaveLength(1)
  const { workout: session, questions } = readText(texts[0]!, library)
  expect([print(session, library), questions]).toEqual([whiteboard, []])
})
