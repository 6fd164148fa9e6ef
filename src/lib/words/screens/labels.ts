import { words } from '../speech.ts';

export const labelsPage = /* @__PURE__ */ words({
  labels: 'Labels',
  ofWhichPieces: 'Of which pieces',
  nothingLiesHereTo: 'Nothing lies here to be labelled.',
  size: 'Size',
  showThem: 'Show them',
  asTheyWillBe: 'As they will be printed',
  pickAPieceAnd: 'Pick a piece, and its label stands here.',
  openAsPdf: 'Open as PDF',
  eachWithACode: ', each with a code that opens its page.',
  printThem: 'Print them',
  labelsAlreadyOffThe: 'Labels already off the first sheet',
  noLabelPrinterIs: 'No label printer is set; the PDF prints on any.',
  aLabelStandsStill:
    'A label stands still while the tide moves: its window is as it was when printed. Its page has the last word.'
});
