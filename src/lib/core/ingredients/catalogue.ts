import { shipped } from '../shipped.ts';
import { ingredientBody, type Ingredient, type IngredientBody } from './ingredient.ts';

/**
 * Ingredients that ship. What each holds is what it is usually made of; a maker's label goes before it (check). Distillates of
 * cereals are exempt: Reg. (EU) 1169/2011 Annex II 1(d). Sulphites are told above 10 mg/kg (Annex II 12), which wine and what is
 * made of it commonly pass.
 */
type Optional = 'mayHold' | 'note' | 'alsoCalled' | 'holds' | 'raw' | 'tell';
type Row = Omit<IngredientBody, Optional> & Partial<Pick<IngredientBody, Optional>>;
const plain = (name: string, ...alsoCalled: string[]): Row => ({ name, alsoCalled });

const SALT_SUGAR_WATER: readonly Row[] = [
  plain('Fine salt', 'Salt', 'Sea salt'),
  plain('Coarse salt', 'Rock salt'),
  plain('Flake salt'),
  plain('White sugar', 'Sugar', 'Caster sugar'),
  plain('Brown sugar'),
  plain('Dark sugar'),
  plain('Honey'),
  plain('Water', 'Cold water', 'Iced water', 'Ice', 'Cold water or ice')
];

const SOUR: readonly Row[] = [
  {
    ...plain('Lime juice', 'Lime'),
    mayHold: ['sulphites'],
    note: 'pressed fresh it holds none; out of a bottle it may'
  },
  {
    ...plain('Lemon juice', 'Lemon'),
    mayHold: ['sulphites'],
    note: 'pressed fresh it holds none; out of a bottle it may'
  },
  plain('Lemon zest'),
  plain('Grapefruit juice', 'Grapefruit'),
  { ...plain('Sweet orange juice', 'Orange juice', 'Orange'), holds: ['orange'] },
  { ...plain('Orange zest'), holds: ['orange'] },
  { ...plain('Bitter orange juice', 'Bitter orange'), holds: ['orange'] },
  { ...plain('Yuzu juice', 'Yuzu'), mayHold: ['orange'], note: 'bottled it is often stretched with other citrus' },
  plain('Yuzu zest'),
  plain('Citrus leaf', 'Lime leaf'),
  { ...plain('Verjuice'), mayHold: ['sulphites'], note: 'of grapes, often sulphited' },
  {
    ...plain('Rice vinegar'),
    mayHold: ['wheat', 'barley'],
    note: 'grain vinegars are sold under its name: read the label'
  },
  { ...plain('Seasoned rice vinegar'), mayHold: ['wheat', 'barley'], note: 'read the label' },
  { ...plain('Wine vinegar', 'White wine vinegar', 'Red wine vinegar', 'Sherry vinegar'), holds: ['sulphites'] },
  { ...plain('Cider vinegar'), holds: ['apple'], mayHold: ['sulphites'] },
  { ...plain('Malt vinegar'), holds: ['barley'] },
  { ...plain('Apple juice'), holds: ['apple'], mayHold: ['sulphites'] },
  {
    ...plain('Sour plum paste', 'Pickled plum'),
    tell: ['colour'],
    mayHold: ['fish', 'soy', 'wheat'],
    note: 'some are seasoned with bonito'
  }
];

const SOY_AND_PASTE: readonly Row[] = [
  { ...plain('Soy sauce', 'Dark soy sauce', 'Light soy sauce'), holds: ['soy', 'wheat'] },
  {
    ...plain('Wheat-free soy sauce', 'Tamari'),
    holds: ['soy'],
    mayHold: ['wheat'],
    note: 'not every one is free of wheat'
  },
  { ...plain('White soy sauce'), holds: ['soy', 'wheat'] },
  {
    ...plain('Light bean paste', 'White bean paste', 'Bean paste', 'Miso'),
    holds: ['soy'],
    mayHold: ['barley', 'wheat', 'fish'],
    note: 'some are grown on barley, and some have stock in them: read the label'
  },
  {
    ...plain('Dark bean paste', 'Red bean paste'),
    holds: ['soy'],
    mayHold: ['barley', 'wheat', 'fish'],
    note: 'some are grown on barley, and some have stock in them: read the label'
  },
  { ...plain('Barley bean paste'), holds: ['soy', 'barley'], mayHold: ['wheat', 'fish'] },
  {
    ...plain('Fermented chilli paste', 'Chilli bean paste'),
    holds: ['soy'],
    mayHold: ['wheat', 'barley', 'fish', 'crustacean']
  },
  { ...plain('Soft bean curd', 'Tofu'), holds: ['soy'] },
  { ...plain('Fish sauce'), holds: ['fish'], mayHold: ['crustacean', 'mollusc'] },
  { ...plain('Oyster sauce'), tell: ['enhancer'], holds: ['mollusc', 'soy', 'wheat'] },
  { ...plain('Anchovy, salted', 'Anchovy'), holds: ['fish'] }
];

const WINE: readonly Row[] = [
  {
    ...plain('Sweet rice wine', 'Mirin'),
    tell: ['alcohol'],
    mayHold: ['wheat', 'sulphites'],
    note: 'seasonings sold in its place hold more'
  },
  {
    ...plain('Rice wine', 'Sake', 'Cooking rice wine'),
    tell: ['alcohol'],
    mayHold: ['wheat'],
    note: 'cooking ones are sometimes blended'
  },
  { ...plain('White wine', 'Red wine', 'Sparkling wine'), tell: ['alcohol'], holds: ['sulphites'] },
  { ...plain('Beer'), tell: ['alcohol'], holds: ['barley'], mayHold: ['wheat', 'sulphites'] },
  { ...plain('Dry gin', 'Gin'), tell: ['alcohol'], note: 'distilled from grain: exempt in the EU and UK' },
  {
    ...plain('Grain spirit', 'Vodka', 'Aquavit'),
    tell: ['alcohol'],
    note: 'distilled from grain: exempt in the EU and UK'
  },
  { ...plain('Rice spirit', 'Potato spirit'), tell: ['alcohol'] }
];

const SEA: readonly Row[] = [
  {
    ...plain('Kelp', 'Kelp powder', 'Kelp sheet'),
    mayHold: ['crustacean', 'mollusc', 'fish'],
    note: 'gathered among them'
  },
  {
    ...plain('Laver sheet', 'Nori', 'Seaweed sheet'),
    mayHold: ['crustacean', 'mollusc', 'fish'],
    note: 'gathered among them'
  },
  {
    ...plain('Seasoned laver sheet'),
    tell: ['enhancer'],
    holds: ['soy', 'wheat'],
    mayHold: ['sesame', 'crustacean', 'mollusc', 'fish']
  },
  {
    ...plain('Kelp stock', 'Cold kelp stock'),
    mayHold: ['fish', 'crustacean', 'mollusc'],
    note: 'of kelp alone; where flakes of fish were in it, it is fish'
  },
  {
    ...plain('Stock of kelp and dried bonito', 'Stock', 'Cold stock', 'Cold stock or water', 'Fish stock'),
    holds: ['fish'],
    mayHold: ['crustacean', 'mollusc']
  },
  {
    ...plain('Stock powder'),
    tell: ['enhancer'],
    holds: ['fish'],
    mayHold: ['wheat', 'soy', 'milk', 'crustacean', 'mollusc']
  },
  {
    ...plain('Shellfish stock', 'Prawn stock'),
    holds: ['crustacean', 'prawn'],
    mayHold: ['fish', 'mollusc', 'celery']
  },
  { ...plain('Dried bonito flakes', 'Bonito flakes'), holds: ['fish'] },
  { ...plain('Dried shrimp'), holds: ['crustacean', 'prawn'], mayHold: ['sulphites', 'crab'] },
  {
    ...plain('Salmon roe'),
    raw: true,
    holds: ['fish', 'salmon-roe'],
    mayHold: ['soy', 'wheat'],
    note: 'read how it was seasoned'
  },
  { ...plain('Trout roe'), raw: true, holds: ['fish'], mayHold: ['soy', 'wheat'], note: 'read how it was seasoned' },
  {
    ...plain('Flying fish roe', 'Seasoned fish roe'),
    tell: ['colour', 'enhancer'],
    raw: true,
    holds: ['fish', 'soy', 'wheat']
  },
  { ...plain('Squid ink'), holds: ['mollusc', 'squid'] },
  {
    ...plain('Surimi sticks'),
    tell: ['colour', 'enhancer'],
    holds: ['fish', 'egg', 'wheat'],
    mayHold: ['crustacean', 'crab', 'soy']
  }
];

const SEEDS_AND_NUTS: readonly Row[] = [
  { ...plain('White sesame', 'Roasted sesame', 'Black sesame', 'Sesame'), holds: ['sesame'] },
  { ...plain('Roasted sesame oil', 'Sesame oil'), holds: ['sesame'] },
  { ...plain('Sesame paste'), holds: ['sesame'], mayHold: ['peanut', 'tree-nut'] },
  {
    ...plain('Mild mustard', 'Mustard', 'Mustard seed', 'Hot mustard'),
    holds: ['mustard'],
    mayHold: ['sulphites', 'wheat']
  },
  { ...plain('Peanut'), holds: ['peanut'] },
  { ...plain('Walnut'), holds: ['tree-nut', 'walnut'] },
  { ...plain('Almond'), holds: ['tree-nut', 'almond'] },
  { ...plain('Cashew'), holds: ['tree-nut', 'cashew'] },
  { ...plain('Pine nut'), mayHold: ['tree-nut'], note: 'a seed by the lists; some guests count it with nuts' },
  { ...plain('Poppy seed') },
  { ...plain('Seven-spice'), holds: ['sesame', 'orange'], mayHold: ['mustard', 'celery'] }
];

const FAT_AND_DAIRY: readonly Row[] = [
  plain('Olive oil'),
  plain('Rapeseed oil', 'Cold-pressed rapeseed oil'),
  plain('Sunflower oil', 'Neutral oil'),
  {
    ...plain('Soybean oil'),
    holds: ['soy'],
    note: 'fully refined it is exempt in the EU, the UK and the US; told here all the same'
  },
  {
    ...plain('Board, shared'),
    mayHold: ['fish', 'crustacean', 'mollusc'],
    note: 'the board and the knife of a raw bar carry on what was cut before, however often they are wiped'
  },
  {
    ...plain('Frying oil, shared', 'Frying oil'),
    mayHold: ['wheat', 'crustacean', 'mollusc', 'egg', 'fish', 'soy', 'sesame', 'milk'],
    note: 'it carries on whatever was ever fried in it'
  },
  { ...plain('Chilli oil'), mayHold: ['sesame', 'soy', 'peanut'] },
  { ...plain('Butter', 'Brown butter'), holds: ['milk'] },
  { ...plain('Cream', 'Milk', 'Buttermilk'), holds: ['milk'] },
  { ...plain('Soured cream', 'Crème fraîche'), holds: ['milk'] },
  { ...plain('Yoghurt'), holds: ['milk'] },
  { ...plain('Egg yolk', 'Egg', 'Egg white'), raw: true, holds: ['egg'] },
  { ...plain('Mayonnaise'), holds: ['egg'], mayHold: ['mustard', 'soy', 'milk'] },
  {
    ...plain('Gelatin'),
    holds: ['gelatin'],
    mayHold: ['fish', 'pork', 'beef'],
    note: 'of fish, pork or beef: read the label'
  }
];

const GREEN_AND_SPICE: readonly Row[] = [
  plain('Red onion', 'Onion', 'White onion'),
  plain('Spring onion', 'Scallion'),
  plain('Chives'),
  plain('Garlic'),
  { ...plain('Celery', 'Celery heart', 'Celery leaf'), holds: ['celery'] },
  { ...plain('Celeriac'), holds: ['celery'] },
  plain('Green chilli', 'Red chilli', 'Chilli'),
  plain('Dried chilli flakes', 'Chilli flakes'),
  plain('Smoked dried chilli'),
  plain('Ginger'),
  { ...plain('Pickled ginger'), tell: ['colour'], mayHold: ['sulphites', 'soy', 'wheat'] },
  plain('Horseradish'),
  { ...plain('Horseradish from a jar'), mayHold: ['sulphites', 'milk', 'egg', 'mustard'] },
  plain('Wasabi, fresh', 'Wasabi'),
  {
    ...plain('Wasabi paste or powder', 'Wasabi powder', 'Wasabi paste'),
    tell: ['colour'],
    mayHold: ['mustard', 'soy', 'wheat', 'milk'],
    note: 'mostly horseradish and mustard'
  },
  plain('Cucumber'),
  plain('Tomato', 'Tomato water'),
  plain('Radish', 'White radish'),
  plain('Beetroot'),
  { ...plain('Yam, grated', 'Yam'), holds: ['yam'] },
  { ...plain('Apple'), holds: ['apple'] },
  { ...plain('Kiwi'), holds: ['kiwi'] },
  { ...plain('Peach'), holds: ['peach'] },
  plain('Dill', 'Dill stalks'),
  plain('Coriander', 'Coriander stalks', 'Coriander leaf'),
  plain('Shiso', 'Perilla leaf'),
  plain('Parsley'),
  plain('Bay leaf', 'Bay'),
  plain('Star anise'),
  plain('Fennel', 'Fennel seed'),
  plain('Juniper'),
  plain('Sorrel'),
  plain('Tea', 'Green tea'),
  plain('White pepper', 'Black pepper', 'Pepper'),
  {
    ...plain('Pink pepper'),
    mayHold: ['tree-nut', 'cashew'],
    note: 'kin of the cashew; guests with that allergy ask (check)'
  },
  { ...plain('Spice mix'), mayHold: ['celery', 'mustard', 'sesame', 'wheat'], note: 'read the label' }
];

const GRAIN: readonly Row[] = [
  plain('Rice', 'Puffed rice'),
  { ...plain('Wheat flour', 'Flour'), holds: ['wheat'] },
  { ...plain('Bread crumbs'), holds: ['wheat'], mayHold: ['soy', 'milk', 'egg', 'sesame'] },
  { ...plain('Frying batter flakes', 'Batter flakes'), holds: ['wheat'], mayHold: ['egg', 'fish', 'crustacean'] },
  { ...plain('Buckwheat', 'Buckwheat, roasted'), holds: ['buckwheat'], mayHold: ['wheat'] },
  { ...plain('Lupin flour'), holds: ['lupin'] },
  { ...plain('Rye bread'), holds: ['rye'], mayHold: ['wheat', 'milk', 'sesame'] }
];

/** Ingredients that ship, found by an id made of their names. */
export const INGREDIENTS: readonly Ingredient[] = shipped(
  [
    ...SALT_SUGAR_WATER,
    ...SOUR,
    ...SOY_AND_PASTE,
    ...WINE,
    ...SEA,
    ...SEEDS_AND_NUTS,
    ...FAT_AND_DAIRY,
    ...GREEN_AND_SPICE,
    ...GRAIN
  ].map((each) => ingredientBody.parse(each))
).map(({ version: _, ...ingredient }) => ingredient);
