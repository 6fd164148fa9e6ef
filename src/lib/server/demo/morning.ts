import type { DemoTools, Input } from './tools.ts';

/** One page of an invented paper, as small as a PDF can be. */
export function demoPaper(lines: readonly string[]): Uint8Array {
  const text = lines.map((line, index) => `${index === 0 ? '72 760' : '0 -22'} Td (${line}) Tj`).join(' ');
  const stream = `BT /F1 14 Tf ${text} ET`;
  const parts = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
    '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
    `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>'
  ];
  let body = '%PDF-1.4\n';
  const offsets = parts.map((part, index) => {
    const at = body.length;
    body += `${index + 1} 0 obj\n${part}\nendobj\n`;
    return at;
  });
  const table = offsets.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('');
  return new TextEncoder().encode(
    `${body}xref\n0 6\n0000000000 65535 f \n${table}trailer\n<< /Size 6 /Root 1 0 R >>\nstartxref\n${body.length}\n%%EOF\n`
  );
}

/** The one delivery of the morning: what comes in it, and what is seen on it. */
function doorOf({ step, receive, lots }: DemoTools) {
  let delivery = '';
  const graywater = { supplier: 'Graywater Landings', faoArea: '27' };
  const inDelivery = (name: string, hoursAgo: number, by: string, input: Input) =>
    receive(name, hoursAgo, by, () => ({ ...graywater, delivery, ...input }));
  const inspect = (name: string, hoursAgo: number, by: string, input: Input) =>
    step(hoursAgo, by, 'inspect-lot', () => ({ lot: lots[name], ...input }));
  return { inDelivery, inspect, opened: (id: string) => void (delivery = id) };
}

/** Mackerel that nobody wants, on its way back with the driver. */
function sentBack(
  { step, daysAgo, grams, celsius, lots }: DemoTools,
  { inDelivery, inspect }: ReturnType<typeof doorOf>
): void {
  inDelivery('mackerel', 3.05, 'p3', {
    species: 'atlantic-mackerel',
    form: 'whole',
    source: 'wild',
    area: 'Vess Sound',
    supplierLot: 'GW-793',
    caughtOn: daysAgo(3),
    mass: grams(3000),
    core: celsius(3.4),
    ice: 'none'
  });
  inspect('mackerel', 2.9, 'p1', {
    'level-eye': '2',
    'level-gill': '2',
    'level-skin': '2',
    'level-flesh': '2',
    'level-belly': '1',
    'level-smell': '2',
    decision: 'send-back',
    reason: 'sour, and no ice left'
  });
  step(2.6, 'p1', 'return-lot', () => ({ lot: lots.mackerel, to: 'Graywater Landings, the driver', credit: 'asked' }));
}

/** This morning's delivery, and what was seen on it. */
export function morning(tools: DemoTools): void {
  const { step, paper, daysAgo, grams, celsius, pieces } = tools;
  const door = doorOf(tools);
  const { inDelivery, inspect } = door;
  step(
    3.4,
    'p3',
    'open-delivery',
    () => ({ supplier: 'Graywater Landings', reference: '20418', vehicle: '2.8 C' }),
    (result) => door.opened(String(result.delivery))
  );
  inDelivery('dory', 3.3, 'p3', {
    species: 'john-dory',
    form: 'whole',
    source: 'wild',
    area: 'Vess Sound',
    supplierLot: 'GW-790',
    caughtOn: `${daysAgo(1)}T05:30`,
    landedOn: daysAgo(1),
    gear: 'pole-or-handline',
    killing: 'spiked-bled',
    mass: grams(1900),
    count: 2,
    core: celsius(1.1),
    ice: 'plenty',
    price: 21,
    pricePer: 'kg',
    decision: 'hold-freeze',
    reason: 'wild: freeze first'
  });
  inspect('dory', 3.1, 'p1', {
    'level-eye': '0',
    'level-gill': '0',
    'level-skin': '1',
    'level-flesh': '0',
    'level-belly': '0',
    'level-smell': '0',
    decision: 'hold-freeze',
    reason: 'fine fish; the rule book wants it frozen'
  });
  // Nobody at the door could say which red fish this was, and the skin was off.
  inDelivery('red', 3.2, 'p3', {
    species: 'unidentified',
    candidates: ['sea-bream', 'snapper', 'rockfish'],
    form: 'fillet',
    source: 'wild',
    supplierLot: 'GW-791',
    caughtOn: daysAgo(2),
    mass: grams(1400),
    core: celsius(1.5),
    claim: 'red snapper, sashimi cut',
    price: 18,
    pricePer: 'kg'
  });
  inDelivery('bass', 3.15, 'p3', {
    species: 'european-sea-bass',
    form: 'gutted',
    source: 'farmed',
    farmSystem: 'net-pen-open-water',
    area: 'Skarnes pens',
    supplierLot: 'GW-792',
    mass: grams(2600),
    count: 4,
    core: celsius(1.3),
    ice: 'some',
    price: 42,
    pricePer: 'case',
    cases: 1
  });
  paper('bass', 3, {
    type: 'feed-statement',
    issuer: 'Skarnes Sea Pens',
    reference: 'SP 77',
    issuedOn: daysAgo(370),
    expiresOn: daysAgo(6),
    formulatedFeed: true,
    raised: true
  });
  step(2.6, 'p1', 'own-exception', () => ({
    piece: pieces.bass,
    code: 'freshness.no-catch-date',
    routes: ['cured'],
    reason: 'The farm told me on the phone: out of the pens on Wednesday. The slip comes tomorrow.',
    until: '20 h',
    own: true
  }));
  sentBack(tools, door);
}

/** A cook's own catch, and what the house settled for itself: a stricter rule book, a species that keeps less long. */
export function houseBooks({ step, receive, daysAgo, grams, celsius }: DemoTools): void {
  // A cook's own catch, for the staff's own table.
  receive('own-catch', 7, 'p2', {
    species: 'pollock',
    form: 'gutted',
    source: 'wild',
    area: 'harbour wall',
    supplier: 'Osei, own line',
    commercial: 'no',
    purpose: 'own-table',
    caughtOn: daysAgo(1),
    killing: 'bled',
    mass: grams(1250),
    core: celsius(2.2)
  });
  step(200, 'p1', 'set-profile', () => ({
    id: 'house-counter',
    base: 'us-fc',
    name: 'Counter, stricter',
    'limit-coldHold': 4,
    'limit-histamineHours': 4,
    'limit-strictAccuracy': 1,
    reason: 'What we would want for our own guests.'
  }));
  step(199, 'p1', 'set-species', () => ({
    id: 'sardine',
    iceDays: 3,
    reason: 'Night boats land them soft here; three days at most.'
  }));
}
