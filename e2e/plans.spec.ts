// Empty Desk: these journeys need nothing of the demo.
import { readFile } from 'node:fs/promises'
import { Document, HeadingLevel, Packer, Paragraph } from 'docx'
import ExcelJS from 'exceljs'
import { strToU8, zipSync } from 'fflate'
import { PDFDocument } from 'pdf-lib'
import { expect, expectAccessible, expectNothingCut, openDesk, test } from './support/journey.ts'

test.describe.configure({ timeout: 90_000 })

/** Three old plans as a teacher has them. */
async function plans(): Promise<{ name: string; bytes: string }[]> {
  const line = (text: string) => new Paragraph({ text })
  const heading = (text: string) => new Paragraph({ text, heading: HeadingLevel.HEADING_1 })
  const word = new Document({
    sections: [
      {
        children: [
          new Paragraph({ text: 'Fog on the pier', heading: HeadingLevel.TITLE }),
          heading('Warm-up'),
          line('March 30 s'),
          line('Wibble wobbles 20 s'),
          heading('Main part'),
          line('Squats x10'),
          line('Barnacle hops x8'),
        ],
      },
    ],
  })
  const book = new ExcelJS.Workbook()
  const rows = [['Exercise', 'Reps'], ['Squats', 10], ['Lunges', 8]] // oxfmt-ignore
  book.addWorksheet('Tuesday at home').addRows(rows)
  book.addWorksheet('Thursday at home').addRows(rows)
  const pdf = await PDFDocument.create()
  const page = pdf.addPage()
  for (const [i, text] of ['Planks by the sea', 'Main part', 'Plank 20 s', 'Squats x10'].entries())
    page.drawText(text, { x: 50, y: 700 - 24 * i, size: i ? 11 : 22 })
  // 40 MB of blanks in about as many KB.
  const bomb = zipSync({ '[Content_Types].xml': strToU8('<x/>'), 'word/document.xml': new Uint8Array(4e7).fill(32) })
  return [
    { name: 'fog.docx', bytes: await Packer.toBase64String(word) },
    { name: 'october.xlsx', bytes: Buffer.from(await book.xlsx.writeBuffer()).toString('base64') },
    { name: 'planks.pdf', bytes: await pdf.saveAsBase64() },
    { name: 'bomb.docx', bytes: Buffer.from(bomb).toString('base64') },
    { name: 'board.png', bytes: Buffer.from('\x89PNG\r\n\x1a\n', 'latin1').toString('base64') },
  ]
}

test('@verify old plans of several kinds are dropped and listed, one is answered and becomes a session, the others wait', async ({
  page,
}) => {
  await openDesk(page)
  const dropped = await page.evaluateHandle(
    (files) => {
      const transfer = new DataTransfer()
      for (const { name, bytes } of files)
        transfer.items.add(new File([Uint8Array.from(atob(bytes), (c) => c.charCodeAt(0))], name))
      return transfer
    },
    await plans(),
  )
  await page.dispatchEvent('body', 'dragenter', { dataTransfer: dropped })
  await expect(page.getByText('Drop sessions or plans here')).toBeVisible()
  await page.dispatchEvent('body', 'drop', { dataTransfer: dropped })
  const list = page.getByRole('dialog', { name: 'Imported plans' })
  await expect(list.getByText('2 sessions')).toBeVisible()
  await expect(list.getByText('Esfuerzo can’t read pictures')).toBeVisible()
  await expect(list.getByText('the file is too large: at most 6 MiB')).toBeVisible()
  await expect(list.getByRole('button', { name: 'Review Planks by the sea of planks.pdf' })).toBeVisible()
  await expect(list.getByRole('button', { name: /^Review / })).toHaveCount(4)
  await expect(list.getByText('4 rows · 2 questions')).toBeVisible()
  await expectAccessible(page, undefined, '.v-overlay-container')
  await expectNothingCut(page)

  await list.getByRole('button', { name: /of fog\.docx$/ }).click()
  const look = page.getByRole('dialog', { name: 'fog.docx' })
  await expect(look.getByRole('textbox')).toHaveValue(/# Fog on the pier\n\n?## Warm-up/)
  // Two unknown words: one is a note, one is an exercise of hers.
  await expect(look.getByText('“Wibble wobbles” – what is this?')).toBeVisible()
  await expectAccessible(page, undefined, '.v-overlay-container')
  await look.getByRole('button', { name: 'Just words' }).click()
  await look.getByRole('button', { name: 'My own exercise' }).click()
  await look.getByRole('button', { name: 'Create session' }).click()
  await expect(page.getByRole('heading', { name: 'Fog on the pier' })).toBeVisible()
  await expect(page.getByRole('row', { name: /Barnacle hops/i })).toBeVisible()

  // It is exported as a document for a colleague.
  await page.getByRole('button', { name: 'Send home' }).click()
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('region', { name: /colleague/ })
      .getByRole('button', { name: 'Word document' })
      .click(),
  ])
  expect(saved.suggestedFilename()).toBe('fog-on-the-pier.docx')
  expect((await readFile((await saved.path())!)).subarray(0, 2).toString()).toBe('PK')

  // The others wait on the Desk, and the one that was taken leads to its session.
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByText('3 imported plans are waiting.')).toBeVisible()
  await page.getByRole('button', { name: 'Show plans' }).click()
  await expect(list.getByRole('link', { name: 'Created “Fog on the pier”' })).toBeVisible()
  await list.getByRole('button', { name: 'Remove october.xlsx' }).click()
  await expect(list.getByText('october.xlsx')).toHaveCount(0)
})
