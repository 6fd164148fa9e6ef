/** What an entry that ships is found by: its name in plain letters. */
const idOf = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/**
 * Entries of a book as they ship: found by their names, each at its first version.
 *
 * @example
 * shipped([{ name: 'Harbour lime' }])[0].id // => 'harbour-lime'
 */
export const shipped = <Body extends { readonly name: string }>(bodies: readonly Body[]) =>
  bodies.map((body) => ({ ...body, id: idOf(body.name), version: 1 }));
