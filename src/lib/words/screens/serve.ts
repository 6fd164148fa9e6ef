import * as say from '../say.ts';
import { words, type Said } from '../speech.ts';

export const dishForm = /* @__PURE__ */ words({
  onAPortion: 'On a portion',
  oneALineWhat:
    'One a line: what; grams on one portion, or pieces and grams of each (5 x 13); fish, rice, sauce, recipe, dish or garnish. Without a last word it is an ingredient of the list; a garnish is one that can be left off. After fish may stand how it is cut: straight, oblique, translucent, strips, cubes, ripple, scored, bias. After rice its form: topping, battleship, thin, medium, thick, inside-out, hand-roll, pressed, hand-ball, bowl.',
  turbotFishHarbourLime:
    'Turbot or halibut; 5 x 12; fish; oblique\nRice; 5 x 14; rice; topping\nHarbour lime; 12; sauce\nChives; 2; garnish',
  cardAndWhoFor: 'What the card says of it, and what it touches',
  cardWhy:
    'What the card says has to be true of the very piece: a plate of which it is not is asked about. Words of the name count as well: wild, farmed, fresh, line-caught, and the fish itself.',
  cardSays: 'Its fish is',
  saysNothing: 'the card does not say',
  from: 'From',
  neverFrozen: 'Its fish was never frozen',
  board: 'Cut',
  sharedBoard: 'on the board everything is cut on',
  apart: 'apart',
  oil: 'Fried',
  notFried: 'it is not',
  sharedOil: 'in the oil everything is fried in',
  benchSeconds: 'A block lies out for one plate, s',
  notFor: 'The house does not serve it to',
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
  cooksChoice: 'Cook’s choice',
  dishes: 'Dishes',
  atTheTable: 'At the table',
  lineUp: 'Before service'
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
  allOnATray: (grams: Said) => `Put all ${grams} on it`,
  slices: 'Slices',
  orGrams: 'or grams',
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
  garnish: '(can be left off)',
  rice: '(dressed rice)',
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
  traysOut: 'Trays out of the cold, minutes left',
  trayOver: 'time is up: bin it',
  binAt: (time: Said) => `bin at ${time}`,
  counted: (name: Said, count: number) => `${name}, ${say.plural(count, { one: 'piece', other: 'pieces' })}`,
  binTray: 'Bin the tray',
  timeIsUpReason: 'time is up',
  endedReason: 'tray ended',
  touched: (time: Said, what: Said) => `${time} ${what}`,
  waiting: (count: number) => (count === 1 ? '1 touch waits for the house' : `${count} touches wait for the house`),
  waitingWhy: 'The line is gone. They are kept in order with their times, and go as soon as it is back.',
  notTaken: (count: number) => (count === 1 ? '1 touch was not taken' : `${count} touches were not taken`),
  seen: 'Seen',
  offTonight: (count: number) => (count === 0 ? 'Take a dish off for tonight' : `Off tonight: ${count}`),
  takeOff: 'Off tonight',
  onAgain: 'On again',
  unready: (count: number) =>
    count === 1 ? '1 dish is not served by the plate yet' : `${count} dishes are not served by the plate yet`,
  unreadyWhy: 'Their pages do not say how the fish is eaten, or name no one fish.'
});

export const tablePage = /* @__PURE__ */ words({
  atTheTable: 'At the table',
  none: 'No dish is written yet. What is in each stands here once it is.',
  toDishes: 'Dishes',
  byTheList: 'By the list of',
  print: 'Print',
  asACsv: 'As a table (CSV)',
  whatIsInIt: (list: Said) => `What is in it, by ${list}`,
  marks: '● in it · ○ may be in it: made beside it, in one oil, on one board, or used for it lately',
  dish: 'Dish',
  askAbout: 'Ask the kitchen about',
  cell: { holds: 'in it', may: 'may be in it', '': 'not in it' },
  dishByDish: 'Dish by dish',
  notSaid: 'the page does not say how it is eaten: told as raw',
  off: 'off tonight',
  left: (plates: number) => (plates === 0 ? 'none left' : say.plural(plates, { one: 'plate', other: 'plates' })),
  until: (time: Said) => `the first has to go ${time}`,
  caught: (how: Said) => `caught: ${how}`,
  killed: (how: Said) => `killed: ${how}`,
  noPlate: 'no plate left: told as the page has it',
  leftOff: (what: Said) => `Can be left off: ${what}.`,
  alsoIn: (what: Said) => `Also in it: ${what}.`,
  rawEgg: 'raw egg',
  notFor: 'Not for',
  caution:
    'Told by the pieces of the next plate, the pages of the book and the list of ingredients; it changes with them. Say what is not known, and ask the kitchen. Guidance only: your local code and licensed practice decide.'
});

export const lineUpPage = /* @__PURE__ */ words({
  lineUp: 'Before service',
  asOf: (time: Said) => `As of ${time}`,
  service: (name: Said, time: Said) => `${name}, ${time}`,
  covers: (covers: Said) => `${covers} covers`,
  print: 'Print',
  nothingOn: 'No dish has a plate ready now. What is sliced, open and on its page stands here.',
  toThePass: 'The pass',
  sellFirst: 'Sell first',
  plates: (plates: number) => say.plural(plates, { one: 'plate', other: 'plates' }),
  because: { tray: 'its tray is binned', window: 'its window shuts', rice: 'its rice is binned' },
  fewAndOff: 'Few of, out and off',
  few: 'Few of:',
  gone: 'Out of:',
  butOther: (name: Said) => `${name} (another fish can stand in: the guest is asked)`,
  off: 'Off tonight:',
  on: 'On tonight',
  dish: 'Dish',
  left: 'Left',
  fish: 'The fish',
  holds: 'What is in it',
  caution:
    'It writes itself from what is open now, and is old a minute later. Guidance only: your local code and licensed practice decide.'
});

export const choicePage = /* @__PURE__ */ words({
  cooksChoice: 'Cook’s choice',
  none: 'No party is at the counter. Name one, and its courses follow one another from pale to rich, seat by seat.',
  noDishes: 'No dish is on the pass yet. Courses are dishes of the book that say how their fish is eaten.',
  toDishes: 'Dishes',
  newParty: 'A new party',
  change: 'Change what is still to come',
  name: 'Party',
  namePlaceholder: 'Counter, seats 1 to 4',
  seats: 'Seats',
  begins: 'First course at',
  now: 'now, where left out',
  pace: 'Minutes from course to course',
  courses: 'Courses',
  order: 'They follow one another',
  paleToRich: 'from pale to rich',
  asNamed: 'as they stand here',
  begin: 'Lay it out',
  keep: 'Keep it so',
  dishLeft: (name: Said, plates: number) => `${name} (${plates})`,
  seatsAndCourses: (seats: number, courses: number) =>
    `${say.plural(seats, { one: 'seat', other: 'seats' })}, ${say.plural(courses, { one: 'course', other: 'courses' })}`,
  send: (course: number, name: Said) => `Send course ${course}: ${name}`,
  due: (time: Said) => `due ${time}`,
  seat: (seat: number) => `Seat ${seat}`,
  seasoned: 'Seasoned by the cook: no soy goes with it unless it is asked for.',
  instead: (name: Said, why: Said) => `${name} instead: ${why}`,
  nothing: (why: Said) => `nothing suits (${why})`,
  why: {
    allergen: 'it holds what the seat must not have',
    'may-hold': 'it may hold what the seat must not have',
    unsaid: 'nobody knows what it holds',
    raw: 'it is raw',
    dislike: 'not liked'
  },
  noPlateLeft: 'no plate left',
  without: 'A seat that nothing suits goes without',
  course: 'Course',
  went: (time: Said) => `went ${time}`,
  allGone: 'All courses have gone out.',
  whatSeatHas: (seat: number) => `Seat ${seat} does not have`,
  noRaw: 'nothing raw',
  dislikes: 'Fish it would rather not have, with commas between',
  avoid: 'Allergens',
  keepSeat: 'Keep it',
  close: 'It has eaten',
  caution:
    'What suits is told by the pieces of the next plate; to who has an allergy what may hold it counts as holding it, and so does what nobody knows. Say it again at the table. Guidance only: your local code and licensed practice decide.'
});
