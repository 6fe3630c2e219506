import { strToU8, zipSync } from 'fflate'
import writeXlsxFile from 'write-excel-file/node'

export type Cells = readonly (readonly (string | number | boolean | Date | null)[])[]

export async function xlsxOf(
  sheets: readonly Readonly<{ sheet: string; data: Cells }>[],
): Promise<Uint8Array> {
  const written = sheets.map(({ sheet, data }) => ({
    sheet,
    data: data.map((row) =>
      row.map((value) =>
        value === null
          ? null
          : value instanceof Date
            ? { value, type: Date, format: 'dd/mm/yyyy hh:mm' }
            : { value, type: value.constructor },
      ),
    ),
  }))
  return new Uint8Array(await writeXlsxFile(written as never).toBuffer())
}

/** A spreadsheet of OpenDocument with these rows of markup. */
export function odsOf(rows: string, name = 'Log'): Uint8Array {
  const content = `<?xml version="1.0" encoding="UTF-8"?>
<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet>
<table:table table:name="Cover"><table:table-row><table:table-cell office:value-type="string"><text:p>hello</text:p></table:table-cell></table:table-row></table:table>
<table:table table:name="${name}">${rows}</table:table></office:spreadsheet></office:body></office:document-content>`
  return zipSync({
    mimetype: strToU8('application/vnd.oasis.opendocument.spreadsheet'),
    'content.xml': strToU8(content),
  })
}

export const cell = (attributes: string, text = '') =>
  `<table:table-cell ${attributes}>${text && `<text:p>${text}</text:p>`}</table:table-cell>`
export const row = (...cells: readonly string[]) => `<table:table-row>${cells.join('')}</table:table-row>`

/** An XLSX workbook of the parts that matter, with this sheet data. */
export function bareXlsx(data: string): Uint8Array {
  const main = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"'
  return zipSync({
    'xl/workbook.xml': strToU8(
      `<workbook ${main} xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Log" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': strToU8(
      '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Target="worksheets/sheet1.xml"/></Relationships>',
    ),
    'xl/worksheets/sheet1.xml': strToU8(`<worksheet ${main}><sheetData>${data}</sheetData></worksheet>`),
  })
}
