import { describe, expect, it } from 'vitest'
import { print, readText } from '@esfuerzo/core/notation'
import { library } from '../../core/test/sessions.ts'
import { readPlan } from '../src/readPlan.ts'
import * as made from './support/made.ts'

const {
  bullets,
  docx,
  down,
  flatOdt,
  heading,
  latin,
  line,
  numbered,
  odt,
  pdf,
  picture,
  table,
  title,
  utf16,
  utf8,
  xlsx,
} = made

/** The whiteboard texts of a file: titles, sections and rows; open questions are marked with a question mark. */
async function whiteboards(bytes: Uint8Array, name: string): Promise<string[]> {
  const { texts } = await readPlan(bytes, name)
  return texts.map((text) => {
    const { workout: session, questions } = readText(text, library)
    const lines = print(session, library)
      .split('\n')
      .filter((l) => l && !/^minutes /.test(l))
    return [...lines, ...questions.map((q) => `? ${q.received}`)].join('\n')
  })
}

interface Shape {
  what: string
  file: string
  bytes: () => Uint8Array | Promise<Uint8Array>
}
const shape = (what: string, file: string, bytes: Shape['bytes']): Shape => ({ what, file, bytes })

const shapes: Shape[] = [
  shape('headings and bullets', 'a.docx', () =>
    docx([
      title('Storm day'),
      heading('Warm-up'),
      ...bullets('Jog on the spot 60 s', 'Arm circles x10'),
      heading('Cool-down'),
      ...bullets('Child’s pose 30 s'),
    ]),
  ),
  shape('a table with the groups across', 'a.docx', () =>
    docx([
      title('Harbour'),
      heading('Circuit'),
      line('3 rounds'),
      table(['Exercise', 'K-1', '2-3', '4-6'], ['Squats', '8', '10', '12'], ['Push-ups', '5', '8', '10']),
    ]),
  ),
  shape('a head over two columns', 'a.docx', () =>
    docx([
      title('Harbour'),
      table(
        [
          { text: 'Move', down: 2 },
          { text: 'Dose', across: 2 },
        ],
        ['Reps', 'Rest'],
        ['Squats', '10', '20 s'],
        ['Lunges', '8', '20 s'],
      ),
    ]),
  ),
  shape('a cell over two rows', 'a.docx', () =>
    docx([
      title('Harbour'),
      table(
        ['Place', 'Exercise', 'Reps'],
        [{ text: 'Kitchen', down: 2 }, 'Squats', '10'],
        ['Lunges', '8'],
        ['Stairs', 'Calf raises', '12'],
      ),
    ]),
  ),
  shape('a line over the whole width between rows', 'a.docx', () =>
    docx([
      title('Harbour'),
      table(
        ['Exercise', 'Reps'],
        [{ text: 'Warm-up', across: 2 }],
        ['Arm circles', '10'],
        [{ text: 'Main part', across: 2 }],
        ['Squats', '12'],
      ),
    ]),
  ),
  shape('lists in two cells side by side', 'a.docx', () =>
    docx([
      title('Harbour'),
      table(
        ['Warm-up', 'Main part'],
        ['• March 30 s\n• Arm circles x10\n• Skip 30 s', '• Squats x10\n• Push-ups x5\n• Plank 20 s'],
      ),
    ]),
  ),
  shape('a numbered list', 'a.docx', () =>
    docx([
      title('Harbour'),
      heading('Circuit'),
      line('2 laps, 30 s work, 20 s rest'),
      ...numbered('Squat', 'Push-up', 'Mountain climber'),
    ]),
  ),
  shape('a header and a footer on every page', 'a.docx', () =>
    docx([title('Harbour'), heading('Main part'), ...bullets('Squats x10')], {
      header: 'Primary PE, Class 4',
      footer: 'Page 1',
    }),
  ),
  shape('two sessions in one document', 'a.docx', () =>
    docx([
      heading('Monday'),
      ...bullets('Squats x10', 'Plank 20 s'),
      heading('Wednesday'),
      ...bullets('Lunges x8', 'Star jumps x12'),
    ]),
  ),
  shape('no headings, parts by colons', 'a.docx', () =>
    docx([
      line('Ferry day'),
      line('Warm up:'),
      line('March 30 s'),
      line('Main part:'),
      line('Squats x10'),
      line('Lunges x8'),
    ]),
  ),
  shape('a picture between lines', 'a.docx', () =>
    docx([title('Harbour'), heading('Main part'), picture(), ...bullets('Squats x10')]),
  ),
  shape('marks of direction, hard blanks, soft hyphens', 'a.docx', () =>
    docx([
      title('\u202aHarbour\u202c'),
      heading('Main\u00a0part'),
      ...bullets('\u200fPush\u00ad-ups\u00a0x10', '\ufeffSquats\u2003x8'),
    ]),
  ),
  shape('line breaks inside a paragraph', 'a.docx', () =>
    docx([title('Harbour'), made.broken('Squats x10', 'Lunges x8', 'Plank 20 s')]),
  ),
  shape('easier and harder in columns', 'a.docx', () =>
    docx([
      title('Harbour'),
      table(
        ['Exercise', 'Reps', 'Easier', 'Harder'],
        ['Push-ups', '8', 'against the wall', 'feet on a step'],
        ['Squats', '10', 'sit to a chair', 'jump'],
      ),
    ]),
  ),
  shape('lists within lists', 'a.odt', () =>
    odt(
      '<text:h text:outline-level="1">Ferry day</text:h><text:h text:outline-level="2">Main part</text:h><text:list><text:list-item><text:p>Squats x10</text:p><text:list><text:list-item><text:p>Lunges x8</text:p></text:list-item></text:list></text:list-item></text:list>',
    ),
  ),
  shape('a table with a column over two', 'a.odt', () =>
    odt(
      '<text:p text:style-name="Title">Ferry day</text:p><table:table><table:table-row><table:table-cell><text:p>Exercise</text:p></table:table-cell><table:table-cell table:number-columns-spanned="2"><text:p>Reps</text:p></table:table-cell><table:covered-table-cell/></table:table-row><table:table-row><table:table-cell><text:p>Squats</text:p></table:table-cell><table:table-cell table:number-columns-spanned="2"><text:p>10</text:p></table:table-cell><table:covered-table-cell/></table:table-row><table:table-row><table:table-cell><text:p>Lunges</text:p></table:table-cell><table:table-cell><text:p>8</text:p></table:table-cell><table:table-cell/></table:table-row></table:table>',
    ),
  ),
  shape('blanks, tabs and breaks of its own', 'a.odt', () =>
    odt(
      '<text:h text:outline-level="1">Ferry day</text:h><text:p>Squats<text:s text:c="2"/>x10<text:line-break/>Lunges x8</text:p><text:p>Plank<text:tab/>20 s</text:p>',
    ),
  ),
  shape('what was struck out, and a note at the foot', 'a.odt', () =>
    odt(
      '<text:tracked-changes><text:changed-region><text:deletion><text:p>Burpees x50</text:p></text:deletion></text:changed-region></text:tracked-changes><text:h text:outline-level="1">Ferry day</text:h><text:p>Squats x10<office:annotation><text:p>too many?</text:p></office:annotation></text:p><text:p>Lunges x8</text:p>',
    ),
  ),
  shape('a flat OpenDocument', 'a.fodt', () =>
    flatOdt('<text:h text:outline-level="1">Ferry day</text:h><text:p>Squats x10</text:p><text:p>Lunges x8</text:p>'),
  ),
  shape('bullets under large lines', 'a.pdf', () =>
    pdf([
      [
        ['Ferry day', 50, 780, 22],
        ['Warm-up', 50, 740, 15],
        ...down(60, 715, '• March 30 s', '• Arm circles x10'),
        ['Main part', 50, 660, 15],
        ...down(60, 635, '• Squats x10', '• Plank 20 s'),
      ],
    ]),
  ),
  shape('a table by its places', 'a.pdf', () =>
    pdf([
      [
        ['Ferry day', 50, 780, 22],
        ...down(50, 740, 'Exercise', 'Squats', 'Push-ups'),
        ...down(220, 740, 'Reps', '10', '8'),
        ...down(320, 740, 'Rest', '20 s', '20 s'),
      ],
    ]),
  ),
  shape('two columns of text', 'a.pdf', () =>
    pdf([
      [
        ['Ferry day', 50, 780, 22],
        ...down(50, 740, 'Warm-up', 'March on the spot 30 s', 'Big arm circles x10', 'Skip on the spot 30 s'),
        ...down(320, 740, 'Main part', 'Squats with slow feet x10', 'Push-ups on the wall x8', 'Hold a plank 20 s'),
      ],
    ]),
  ),
  shape('a head and a foot on every page', 'a.pdf', () =>
    pdf(
      [1, 2].map((n) => [
        ['Primary PE – Class 4', 50, 815, 9],
        [`Page ${n} of 2`, 500, 25, 9],
        ...(n === 1
          ? [['Ferry day', 50, 770, 22] as made.Placed, ...down(50, 735, 'Main part', 'Squats x10', 'Lunges x8')]
          : down(50, 770, 'Plank 20 s', 'Star jumps x12')),
      ]),
    ),
  ),
  shape('a sentence over two lines', 'a.pdf', () =>
    pdf([
      [
        ['Ferry day', 50, 780, 22],
        ...down(50, 740, 'Main part'),
        ['Bring a chair that does not slide, put it at the wall and ask who is at home whether the', 50, 722],
        ['floor may be used today.', 50, 704],
        ...down(50, 680, 'Squats x10', 'Lunges x8'),
      ],
    ]),
  ),
  shape('words in pieces on a line', 'a.pdf', () =>
    pdf([
      [
        ['Ferry day', 50, 780, 22],
        ['Squ', 50, 740],
        ['ats', 69.6, 740],
        ['x10', 90, 740],
        ...down(50, 722, 'Lunges x8'),
      ],
    ]),
  ),
  shape('a sheet with a title, rows and amounts', 'a.xlsx', () =>
    xlsx({ Sheet1: [['Ferry day'], [], ['Exercise', 'Reps', 'Rest'], ['Squats', 10, '20 s'], ['Lunges', 8, '20 s']] }),
  ),
  shape('merged cells in a sheet', 'a.xlsx', () =>
    xlsx(
      {
        Sheet1: [
          ['Ferry day', null, null],
          ['Exercise', 'K-1', '2-3'],
          ['Squats', 8, 10],
          ['Lunges', 6, 8],
        ],
      },
      (book) => book.worksheets[0]!.mergeCells('A1:C1'),
    ),
  ),
  shape('dates that are numbers, and seconds that are times', 'a.xlsx', () =>
    xlsx({
      Sheet1: [['Ferry day'], [new Date(Date.UTC(2026, 10, 2))], ['Exercise', 'Time'], ['Plank', 30], ['Squats', 40]],
    }),
  ),
  shape('two sheets with names', 'a.xlsx', () =>
    xlsx({
      Tuesday: [
        ['Exercise', 'Reps'],
        ['Squats', 10],
        ['Lunges', 8],
      ],
      Thursday: [
        ['Exercise', 'Reps'],
        ['Push-ups', 8],
        ['Star jumps', 12],
      ],
    }),
  ),
  shape('empty rows and columns around', 'a.xlsx', () =>
    xlsx({
      Sheet1: [
        [],
        [null, null, 'Exercise', null, 'Reps'],
        [],
        [null, null, 'Squats', null, 10],
        [null, null, 'Lunges', null, 8],
      ],
    }),
  ),
  shape('what arithmetic leaves behind', 'a.xlsx', () =>
    xlsx({
      Sheet1: [
        ['Exercise', 'Seconds'],
        ['Plank', 0.1 + 29.9],
        ['Wall sit', 60 / 3],
      ],
    }),
  ),
  shape('semicolons and decimal commas', 'a.csv', () =>
    utf8('Exercise;Time;Rest\nPlank;22,5 s;10 s\nSquats;30 s;10 s\n'),
  ),
  shape('Windows letters', 'a.csv', () => latin('Exercise;Reps\nChild’s pose;30 s\nSquats – slow;10\n')),
  shape('two bytes a letter, tabs between', 'a.csv', () => utf16('Exercise\tReps\nSquats\t10\nLunges\t8\n')),
  shape('a separator said in the first line', 'a.csv', () => utf8('sep=|\nExercise|Reps\nSquats|10\nLunges|8\n')),
  shape('commas and line ends in quotes', 'a.csv', () =>
    utf8('Exercise,Reps\n"Squats, slow",10\n"Lunges\nbackwards",8\n'),
  ),
  shape('a text of old Windows', 'a.txt', () =>
    latin('Ferry day\r\n\r\nWarm up – gently\r\nMarch 30 s\r\nMain part\r\nSquats x10\r\nLunges x8\r\n'),
  ),
  shape('Markdown', 'a.md', () =>
    utf8(
      '# Ferry day\n\n## Main part\n\n3 rounds\n\n| Exercise | Reps |\n|---|---|\n| Squats | 10 |\n| Lunges | 8 |\n',
    ),
  ),
  shape('a page with scripts and styles', 'a.html', () =>
    utf8(
      '<!doctype html><html><head><title>x</title><style>p{}</style><script>alert(1)</script></head><body><h1>Ferry day</h1><h2>Main part</h2><ol><li>Squats x10<li>Lunges x8</ol><p>Take&nbsp;care &amp; drink.</p></body></html>',
    ),
  ),
  shape('a table in a table', 'a.html', () =>
    utf8('<h1>Ferry day</h1><table><tr><td><table><tr><td>Squats<td>10<tr><td>Lunges<td>8</table></td></tr></table>'),
  ),
]

describe('odd shapes of documents', () => {
  it('are forty and more', () => expect(shapes.length).toBeGreaterThanOrEqual(40))
  it.each(shapes.map((s) => [`${s.file.split('.')[1]}: ${s.what}`, s] as const))('%s', async (_, { file, bytes }) => {
    expect(`\n${(await whiteboards(await bytes(), file)).join('\n---\n')}\n`).toMatchSnapshot()
  })
})
