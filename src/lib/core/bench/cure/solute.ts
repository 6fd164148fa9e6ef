import { EmberError, inRange } from '../../errors.ts';
import { reservoirsAt, type Contact, type SlabZone } from './reservoirs.ts';

/** A solute on its way through every zone of a piece. */
export interface Solute {
  /** Puts something else at the faces. What was there is thrown away, or kept for `again`. */
  meet(contact: Contact): void;
  /**
   * One step of backward Euler.
   *
   * @param spread diffusivity x seconds, m²
   * @param drawn water that has left each zone by the end of the step, kg/m²; negative where it swelled
   * @param deep of it, what came through the depth of the flesh rather than off its face: it carries out what it holds; all of it where
   *   left out
   */
  step(spread: number, drawn: ArrayLike<number>, deep?: ArrayLike<number>): void;
  /** kg per kg water, from the open face inwards, at cell centres. */
  readonly at: (zone: number, cell: number) => number;
  /** At the face itself, kg per kg water. */
  readonly surface: (zone: number) => number;
  /** What came under a square metre of face since the start, kg, by what left the outside: quicker to ask than what is there. */
  readonly gained: (zone: number) => number;
  /** Under a square metre of face, kg. */
  readonly taken: (zone: number) => number;
  /** Outside still, kg: laid, in a bath, drained off, or thrown away. */
  readonly outside: () => number;
  /** Outside one zone of a dry cure, kg per m² of face; what lies in a common bath is not told apart. */
  readonly left: (zone: number) => number;
}

function checkZones(zones: readonly SlabZone[]): void {
  if (zones.length === 0) throw new EmberError('form.incomplete', { field: 'zones' });
  for (const { depth, water, face } of zones) {
    inRange(depth, { field: 'depth', unit: 'm', min: 2e-4, max: 0.2 });
    inRange(water, { field: 'water', unit: 'kg/m²', min: 1e-3, max: 1000 });
    inRange(face, { field: 'face', unit: 'm²', min: 1e-9, max: 1e4 });
  }
}

/**
 * One step's equations of all zones, solved from the closed end outwards with the strength at the faces left open: the first cell answers
 * to the strength c of its face as rest + gain c.
 */
function elimination(n: number, count: number, mass: Float64Array, cell: Float64Array, perSpread: Float64Array) {
  const upper = new Float64Array(n * count);
  const right = new Float64Array(n * count);
  const rate = new Float64Array(count);
  const rest = new Float64Array(count);
  const gain = new Float64Array(count);
  const gate = new Float64Array(count);
  /** Share of a cell's water that leaves through it for each cell behind it, in this step. */
  const carry = new Float64Array(count);

  function eliminate(spread: number, isOpen: boolean, isCarrying: boolean): void {
    const inner = (n - 1) * count;
    for (let zone = 0; zone < count; zone++) {
      const r = spread * perSpread[zone]!;
      rate[zone] = r;
      gate[zone] = isOpen ? 2 * r : 0;
      const inverse = 1 / (1 + r + carry[zone]!);
      upper[inner + zone] = r * inverse;
      right[inner + zone] = mass[inner + zone]! * inverse;
    }
    if (!isCarrying) {
      for (let row = inner - count; row > 0; row -= count) {
        for (let at = row; at < row + count; at++) {
          const r = rate[at - row]!;
          const inverse = 1 / (1 + 2 * r - r * upper[at + count]!);
          upper[at] = r * inverse;
          right[at] = (mass[at]! + r * right[at + count]!) * inverse;
        }
      }
    }
    for (let row = inner - count, behind = 1; isCarrying && row > 0; row -= count, behind++) {
      for (let at = row; at < row + count; at++) {
        const r = rate[at - row]!;
        const out = carry[at - row]!;
        // From the cell behind comes what diffuses, and what its water carries.
        const inwards = r + out * behind;
        const inverse = 1 / (1 + 2 * r + out * (behind + 1) - inwards * upper[at + count]!);
        upper[at] = r * inverse;
        right[at] = (mass[at]! + inwards * right[at + count]!) * inverse;
      }
    }
    for (let zone = 0; zone < count; zone++) {
      const r = rate[zone]!;
      const inwards = r + carry[zone]! * (n - 1);
      const inverse = 1 / (1 + r + gate[zone]! + carry[zone]! * n - inwards * upper[count + zone]!);
      rest[zone] = (mass[zone]! + inwards * right[count + zone]!) * inverse;
      gain[zone] = gate[zone]! * cell[zone]! * inverse;
    }
  }
  /** @param strengths those of the flesh in balance with what stands at its face */
  function substitute(strengths: Float64Array): void {
    for (let zone = 0; zone < count; zone++) mass[zone] = rest[zone]! + gain[zone]! * strengths[zone]!;
    for (let at = count; at < mass.length; at++) mass[at] = right[at]! + upper[at]! * mass[at - count]!;
  }

  return { rest, gain, gate, carry, eliminate, substitute };
}

/**
 * Fick's second law in the water of a piece's zones, by finite volumes and backward Euler: unconditionally stable, never
 * negative, and every gram that leaves the outside is found in the flesh. Concentration is in the water of the flesh.
 *
 * Laid solid holds the face at saturation until it is gone, then it is a finite brine of the water it drew; a bath is
 * finite, well stirred and solved together with all zones that lie in it. Checked against Crank, The Mathematics of
 * Diffusion, 2nd ed. (1975), ch. 4. Water that leaves the flesh carries what is dissolved in it out with it (upwind, in the
 * same step); water that is drunk comes in plain.
 *
 * @param saturation kg solute per kg water at which a liquid is full
 * @param most kg per kg water that the flesh at the face holds at the very most: a face drying out takes c / (1 + c / most) of a liquid
 *   of strength c. Infinity where the flesh takes the liquid as it is
 * @param start kg solute per kg water in the flesh at the start
 * @throws EmberError `quantity.out-of-range` naming the field
 */
export function soluteIn(
  zones: readonly SlabZone[],
  nodes: number,
  saturation: number,
  start = 0,
  most = Infinity
): Solute {
  checkZones(zones);
  const n = inRange(nodes, { field: 'nodes', unit: '', min: 4, max: 2000 });
  const count = zones.length;
  // Cell by cell, all zones side by side: their chains of divisions are independent, and a processor runs them at once.
  const mass = new Float64Array(n * count);
  for (let i = 0; i < mass.length; i++) mass[i] = (start * zones[i % count]!.water) / n;
  const cell = Float64Array.from(zones, ({ water }) => water / n);
  const perSpread = Float64Array.from(zones, ({ depth }) => (n / depth) ** 2);
  const { rest, gain, gate, carry, eliminate, substitute } = elimination(n, count, mass, cell, perSpread);
  const before = new Float64Array(count);
  const strengths = new Float64Array(count);
  const carried = new Float64Array(count);
  /** Strength of what stands at each face; below nothing where nothing does. */
  const facing = new Float64Array(count).fill(-1);
  /** What came into each zone since the start, by what left the outside; kg/m². */
  const gained = new Float64Array(count);
  const shareAt = (strength: number) => 1 / (1 + strength / most);
  const pool = reservoirsAt(zones, saturation, shareAt);

  function meet(contact: Contact): void {
    pool.change(contact);
    facing.fill(-1);
    for (const { zones: its, strength } of pool.now()) for (const zone of its) facing[zone] = strength;
  }
  function step(spread: number, drawn: ArrayLike<number>, deep: ArrayLike<number> = drawn): void {
    const reservoirs = pool.now();
    const isOpen = reservoirs.length > 0;
    let isCarrying = false;
    for (let zone = 0; zone < count; zone++) {
      const water = zones[zone]!.water - drawn[zone]!;
      if (!(water > 0)) {
        throw new EmberError('quantity.out-of-range', { field: 'drawn', unit: 'kg/m²', seen: drawn[zone] });
      }
      before[zone] = cell[zone]! * n;
      cell[zone] = water / n;
      carry[zone] = isOpen ? Math.max(0, deep[zone]! - carried[zone]!) / water : 0;
      isCarrying ||= carry[zone]! > 0;
      carried[zone] = deep[zone]!;
    }
    eliminate(spread, isOpen, isCarrying);
    for (const reservoir of reservoirs) {
      const { weight, zones: its } = reservoir;
      let given = 0;
      for (const zone of its) given += weight[zone]! * (before[zone]! - cell[zone]! * n);
      const off = reservoir.drains * Math.max(0, given);
      const water = Math.max(0, reservoir.water + given - off);
      // What leaves a reservoir in this step is a straight line of its strength; kg, or kg/m² of its one zone.
      let perStrength = 0;
      let back = 0;
      for (const zone of its) {
        const out = carry[zone]! * n;
        perStrength += weight[zone]! * (gate[zone]! * (cell[zone]! - gain[zone]!) - out * gain[zone]!);
        back += weight[zone]! * (gate[zone]! + out) * rest[zone]!;
      }
      perStrength *= reservoir.share;
      let strength = saturation;
      // Where nothing undissolved would be left, the strength itself is the unknown: W c = S - flow(c) - off c.
      if (reservoir.solute - (perStrength * strength - back) - off * saturation < saturation * water)
        strength = (reservoir.solute + back) / (water + off + perStrength);
      const flow = perStrength * strength - back;
      for (const zone of its) {
        const inFlesh = strength * reservoir.share;
        const first = rest[zone]! + gain[zone]! * inFlesh;
        strengths[zone] = inFlesh;
        facing[zone] = strength;
        gained[zone]! += gate[zone]! * (inFlesh * cell[zone]! - first) - carry[zone]! * n * first;
      }
      reservoir.solute -= flow + off * strength;
      // What is left of a cancelled sum may stand a rounding below nothing.
      if (reservoir.solute < 0 && reservoir.solute > -1e-12) reservoir.solute = 0;
      reservoir.water = water;
      reservoir.strength = strength;
      reservoir.share = shareAt(strength);
      pool.drain(reservoir, off * strength);
    }
    substitute(strengths);
  }

  return {
    meet,
    step,
    at: (zone, index) => mass[index * count + zone]! / cell[zone]!,
    surface: (zone) => (facing[zone]! >= 0 ? facing[zone]! * shareAt(facing[zone]!) : mass[zone]! / cell[zone]!),
    gained: (zone) => gained[zone]!,
    taken(zone) {
      let total = 0;
      for (let at = zone; at < mass.length; at += count) total += mass[at]!;
      return total;
    },
    outside: pool.outside,
    left: pool.left
  };
}
