/** FAO Major Fishing Areas for statistical purposes (FAO, CWP Handbook). Whether reef toxins are endemic there informs; it clears nothing. */
export interface FaoArea {
  readonly code: string;
  readonly name: string;
  /** Ciguatera is reported from reefs in it (FAO/WHO 2020, Report of the Expert Meeting on Ciguatera Poisoning; check). */
  readonly reefToxin: 'reported' | 'in-part' | 'not-reported';
}

const area = (code: string, name: string, reefToxin: FaoArea['reefToxin'] = 'not-reported'): FaoArea => ({
  code,
  name,
  reefToxin
});

export const FAO_AREAS: readonly FaoArea[] = [
  area('01', 'Africa, inland waters'),
  area('02', 'America, North, inland waters'),
  area('03', 'America, South, inland waters'),
  area('04', 'Asia, inland waters'),
  area('05', 'Europe, inland waters'),
  area('06', 'Oceania, inland waters'),
  area('07', 'Former USSR area, inland waters'),
  area('08', 'Antarctica, inland waters'),
  area('18', 'Arctic Sea'),
  area('21', 'Atlantic, Northwest'),
  area('27', 'Atlantic, Northeast'),
  area('31', 'Atlantic, Western Central', 'reported'),
  area('34', 'Atlantic, Eastern Central', 'reported'),
  area('37', 'Mediterranean and Black Sea', 'in-part'),
  area('41', 'Atlantic, Southwest', 'in-part'),
  area('47', 'Atlantic, Southeast'),
  area('48', 'Atlantic, Antarctic'),
  area('51', 'Indian Ocean, Western', 'reported'),
  area('57', 'Indian Ocean, Eastern', 'reported'),
  area('58', 'Indian Ocean, Antarctic'),
  area('61', 'Pacific, Northwest', 'reported'),
  area('67', 'Pacific, Northeast'),
  area('71', 'Pacific, Western Central', 'reported'),
  area('77', 'Pacific, Eastern Central', 'reported'),
  area('81', 'Pacific, Southwest', 'reported'),
  area('87', 'Pacific, Southeast', 'in-part'),
  area('88', 'Pacific, Antarctic')
];

/**
 * The name of an area, or an empty text for none.
 *
 * @example
 * faoAreaName('27') // => 'Atlantic, Northeast'
 */
export const faoAreaName = (code: string): string => FAO_AREAS.find((each) => each.code === code)?.name ?? '';
