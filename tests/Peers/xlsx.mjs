// Reads a workbook of ours with exceljs, and writes one as others do: shared strings, formulas, merged cells.
import ExcelJS from 'exceljs';
import { readFileSync } from 'node:fs';

const { read, write } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const ours = new ExcelJS.Workbook();
await ours.xlsx.readFile(read);
const cells = ours.worksheets.map((sheet) => {
    const rows = [];
    sheet.eachRow({ includeEmpty: true }, (row) => rows.push(row.values.slice(1).map((v) => v ?? null)));
    return {
        name: sheet.name,
        rows,
        formats: sheet
            .getRow(2)
            .values.slice(1)
            .map((_, i) => sheet.getRow(2).getCell(i + 1).numFmt ?? null),
    };
});

const theirs = new ExcelJS.Workbook();
theirs.addWorksheet('Notes').addRow(['Nothing to see']);
const sheet = theirs.addWorksheet('Windows');
sheet.addRow(['Schedule of windows']);
sheet.addRow(['Mark', 'Type', 'Width (mm)', 'Height (mm)', 'Sill', 'Qty', 'Storey']);
sheet.addRow(['W-03', 'side-hung pair', 1200, { formula: 'C3+250', result: 1450 }, 900, 2, 'S0']);
sheet.addRow(['W-04', null, 900.5, { formula: 'C4*2' }, 900, 1, 'S0']);
sheet.mergeCells('B3:B4');
sheet.getCell('A6').value = { richText: [{ text: 'W-' }, { font: { bold: true }, text: '05' }] };
sheet.getCell('C6').value = '1,2 m';
sheet.getCell('D6').value = 900;
await theirs.xlsx.writeFile(write);
console.log(JSON.stringify(cells));
