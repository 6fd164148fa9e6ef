import { said, words } from './speech.ts';
/**
 * Sentences that could hurt if they were said otherwise: each once, with where it stands. A test pins them, and the places they are said
 * at take them from here.
 */
export const SAFETY = /* @__PURE__ */ words({
  exempt: {
    text: 'Exempt from parasite freezing, from nothing else: histamine, time out of the cold and the date mark still count.',
    citation: 'FDA Food Code 2022, 3-402.11(B); Reg. (EC) 853/2004 Annex III Sec. VIII Ch. III.D point 3'
  },
  candling: {
    text: 'Take out every larva you see; most are missed. Freezing is the control.',
    citation:
      'FDA, Fish and Fishery Products Hazards and Controls Guidance, ch. 5: candling reduces, it does not remove'
  },
  budget: {
    text: 'for its whole life, not an allowance: cold gives none of it back',
    citation:
      'FDA, Fish and Fishery Products Hazards and Controls Guidance, ch. 7 and 12; the house’s clock after it (check)'
  },
  acid: {
    text: 'Whiter, still raw, no safer: acid kills no worms and no germs. This piece opens and closes as a raw one does.',
    citation: 'FDA Food Code 2022, 3-402.11: marinated fish is raw fish'
  },
  salt: {
    text: 'Salt kills no worms: a cured piece needs the same parasite clearance as a raw one.',
    citation:
      'FDA, Fish and Fishery Products Hazards and Controls Guidance, ch. 5: nematodes lived 28 days in an 80° brine'
  },
  scald: {
    text: 'A scald colours the face and clears nothing: only a core at its temperature, read, is cooked.',
    citation: 'FDA Food Code 2022, 3-401.11'
  },
  ice: {
    text: 'It stops the cooking, not the clock: the time it stood warm stays spent.',
    citation: 'FDA Food Code 2022, 3-501.14 and 3-501.16'
  },
  record: {
    text: 'What nobody read is not known, and is not written down afterwards.',
    citation: 'FDA Food Code 2022, 3-402.12: the record is made of the freezing as it was'
  },
  formed: {
    text: 'Neither freezing nor cooking takes formed histamine away.',
    citation: 'FDA, Fish and Fishery Products Hazards and Controls Guidance, ch. 7'
  },
  look: {
    text: 'A white rim, a firm bite and a clean smell are looks: none of them opens a window.',
    citation: 'the house’s caution'
  }
} as const satisfies Record<string, { readonly text: string; readonly citation: string }>);
export type SafetyId = keyof typeof SAFETY;
/** The sentence itself. */
export const safety = /* @__PURE__ */ said((id: SafetyId): string => SAFETY[id].text);
