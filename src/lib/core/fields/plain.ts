/** Marks that turn the direction of writing, or stand in no width: two names that look alike would be two. */
const UNSEEN = /[\u00ad\u061c\u180e\u200b\u200e\u200f\u2028-\u202e\u2060-\u206f\ufeff\ufff9-\ufffb]/gu;
/** Joiners have their place in scripts whose letters join, and in pictures; beside Latin letters and figures they only hide. */
const JOINERS =
  /(?<=^|[\p{Script=Latin}\p{Nd}\p{P}\s])[\u200c\u200d]+|[\u200c\u200d]+(?=$|[\p{Script=Latin}\p{Nd}\p{P}\s])/gu;
/** Everything below a blank but a new line and a tab. */
const CONTROL = /[^\P{Cc}\n\t]/gu;

/**
 * A text as it is kept: composed (an å is one letter, however it was typed), without marks that nobody sees, without control
 * characters, without halves of a letter. What is left of it may be nothing.
 *
 * @example
 * plainText('To\u200bve') // => 'Tove'
 */
export function plainText(text: string): string {
  const once = (some: string) =>
    some.replace(UNSEEN, '').replace(CONTROL, '').normalize('NFC').replace(JOINERS, '').normalize('NFC');
  // What one pass takes away may bring together what the next one joins.
  let before = text.toWellFormed();
  for (let after = once(before); after !== before; after = once(before)) before = after;
  return before;
}

/** Letters of other scripts that look like Latin ones, and those they look like: the common ones of UTS #39, confusables. */
const LOOKS = 'аaеeоoрpсcхxуyіiјjѕsһhԁdԛqԝwвbкkмmнhтtαaεeιiκkνvοoρpτtυuχxβbηhμmζz';
const LOOKS_LIKE = new Map(Array.from({ length: LOOKS.length / 2 }, (_, at) => [LOOKS[2 * at]!, LOOKS[2 * at + 1]!]));

/**
 * Whether two names read the same to whoever sees them: in another case, in letters of double width, or with a letter of another
 * script in the place of one that looks like it.
 *
 * @example
 * isAlike('Tove', 'T\u043eve') // => true
 */
export function isAlike(one: string, other: string): boolean {
  const seen = (name: string) =>
    [...name.normalize('NFKC').trim().toLowerCase()].map((letter) => LOOKS_LIKE.get(letter) ?? letter).join('');
  return seen(one) === seen(other);
}
