import { words } from '../speech.ts';

export const labelsPage = /* @__PURE__ */ words({
  labels: 'Labels',
  ofWhichPieces: 'Of which pieces',
  nothingLiesHereTo: 'Nothing to label yet.',
  size: 'Size',
  showThem: 'Show them',
  asTheyWillBe: 'As they will be printed',
  pickAPieceAnd: 'Pick a piece to see its label.',
  openAsPdf: 'Open as PDF',
  eachWithACode: ', each with a code that opens its page.',
  printThem: 'Print them',
  labelsAlreadyOffThe: 'Labels already off the first sheet',
  noLabelPrinterIs: 'No label printer is set; the PDF prints on any. Say when they are on:',
  theyAreOn: 'They are stuck on',
  aLabelStandsStill:
    'A label shows the window as printed; its page shows it as it is now. Where a label comes to promise too much, Now asks for a new one.'
});
