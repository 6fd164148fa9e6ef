import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const dishForm = /* @__PURE__ */ words({
  onAPortion: 'On a portion',
  oneALineWhat:
    'One a line: what; grams on one portion, or pieces and grams of each (5 x 13); fish, sauce, recipe or dish. Without a last word it is an ingredient of the list. After fish may stand how it is cut: straight, oblique, translucent, strips, cubes, ripple, scored, bias.',
  turbotFishHarbourLime: 'Turbot or halibut; 5 x 12; fish; oblique\nHarbour lime; 12; sauce\nChives; 2',
  route: 'Its fish is eaten',
  notSaid: 'not said: not by the plate',
  price: 'Price',
  keepAsTheNext: 'Keep as the next version',
  writeItIntoThe: 'Write it into the book'
});

export const serveTabs = /* @__PURE__ */ words({
  roomsOfService: 'Service',
  serve: 'Serve',
  thePass: 'The pass',
  dishes: 'Dishes'
});

export const services = /* @__PURE__ */ words({
  servicesAhead: 'Services ahead',
  takeItOff: 'Cancel it',
  noneIsPlannedName: 'None is planned. Plan one, and the rack says what will be ready for it.',
  planIt: 'Plan it',
  service: 'Service',
  saturday: 'Saturday',
  begins: 'Begins',
  covers: 'Covers',
  begun: 'begun',
  covers2: (covers: Said) => `, ${covers} covers`
});

export const servePage = /* @__PURE__ */ words({
  timeIsUp: 'time is up',
  dropped: 'dropped',
  trim: 'trim',
  binAllOf: (count: number) => `Bin all ${say.plural(count, { one: 'piece', other: 'pieces' })}`,
  lifted: (count: number, grams: Said) =>
    `${say.plural(count, { one: 'slice', other: 'slices' })} lifted from the pan, ${grams}`,
  serve: 'Serve',
  traysOutOfThe: 'Trays out of the cold',
  discardAt: (name: Said, mass: Said, clockTime: Said) => `${name}, ${mass} · bin at ${clockTime}`,
  nothingToServeYet: 'Nothing to serve yet.',
  left: 'left',
  whyAndItsPapers: 'Why, and its papers',
  outOfTheCold: (clockTime: Said, temperature: Said, clockTime2: Said) =>
    `Out of the cold since ${clockTime} at ${temperature}, until ${clockTime2}. Nothing goes from a tray back to the cold.`,
  trayReads: 'Read the tray',
  serveFromIt: 'Serve from it',
  takenInForIt: (what: Said) => `Taken in for ${what}. Not for guests.`,
  noRouteIsOpen: 'No route is open for this piece now.',
  served: 'Serve',
  as: 'As',
  howMuch: 'How much',
  dish: 'Dish',
  forAGuestWho: 'For a guest who is highly susceptible',
  notRawForGuests: 'Not raw for guests who are highly susceptible.',
  putItOutUnder: 'Put it on a tray, by the clock',
  startItsClock: 'Put it on a tray',
  tray: 'Tray',
  counterTrayLeft: 'Counter tray, left',
  clock: 'Clock',
  coreNow: 'Core now',
  discard: 'Bin',
  binIt: 'Bin it',
  binAll: (mass: Said) => `Bin all ${mass}`,
  serveAll: (mass: Said) => `Serve all ${mass}`,
  timeIsUpTrim: 'time is up, trim, dropped …',
  discardIt: 'Bin it',
  staffTraining: 'staff training',
  theOwnTable: 'the staff meal',
  neverAbove: (temperature: Said) => `, never above ${temperature}`
});

export const serveDishesPage = /* @__PURE__ */ words({
  dishes: 'Dishes',
  noDishIsWritten:
    'No dish is written yet. A dish is a name and what comes on one portion: fish, sauces, cures, ingredients.',
  writeANewDish: 'Write a new dish',
  whatADishHolds: 'What a dish holds is added up from its sauces, cures and the',
  listOfIngredients: 'list of ingredients',
  theFishComesTo:
    '; the fish comes to that when it is served. Guidance only: your local code and licensed practice decide.',
  onTheCard: 'On the card'
});

export const serveDishesOnePage = /* @__PURE__ */ words({
  whatADishHolds:
    'What a dish holds is told from its pages and ingredients; the fish comes to that when it is served. Guidance only: your local code and licensed practice decide.',
  forText: (portions: Said, what: Said) => `For ${portions} ${what}`,
  onOne: 'On one',
  fish: '(fish)',
  roundedToGWhich: (interval: Said) => `Rounded to ${interval} g, which the scale shows (House, Knife work).`,
  andTheFish: (tell: Said, toldLine: Said) => `${tell} ${toldLine}; and the fish.`,
  tenPortions: 'ten portions',
  scaledTo: 'Scaled to',
  portions: 'Portions',
  writeTheNextVersion: (version: Said) => `Write the next version from version ${version}`
});

export const passPage = /* @__PURE__ */ words({
  thePass: 'The pass',
  tonight: 'Tonight',
  none: 'No dish says yet how its fish is eaten. Write that into its page, and it stands here with what is left of it.',
  toDishes: 'Dishes',
  until: (time: Said) => `the first has to go ${time}`,
  few: (left: number) => (left === 1 ? 'The last one.' : `Only ${left} more.`),
  ends: (fish: Said) => `Then ${fish} is out.`,
  noMore: (fish: Said) => `Not enough ${fish}.`,
  timeIsUp: 'Its time is up. Bin the tray, or take it off.',
  withOther: (fish: Said) => `A plate with ${fish} instead`,
  several: 'Several at once',
  howMany: 'Plates at a touch',
  plates: (count: Said) => `${count} ×`,
  lately: 'Just served',
  plateThen: (time: Said, dish: Said, grams: Said) => `${time} ${dish}, ${grams}`,
  takeBack: 'Take it back',
  offTonight: (count: number) => (count === 0 ? 'Take a dish off for tonight' : `Off tonight: ${count}`),
  takeOff: 'Off tonight',
  onAgain: 'On again',
  unready: (count: number) =>
    count === 1 ? '1 dish is not served by the plate yet' : `${count} dishes are not served by the plate yet`,
  unreadyWhy: 'Their pages do not say how the fish is eaten, or name no one fish.'
});
