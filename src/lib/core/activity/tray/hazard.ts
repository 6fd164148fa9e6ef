import type { FindingCode } from '../../codes/finding.ts';
import type { Hold } from './fold.ts';
import { ALL_ROUTES, reason, type Hazard } from '../../rules/context.ts';
import { atOrBelow, type RuleProfile, type TimeControl } from '../../codes/profile.ts';
import { RAW_ROUTES, type Reason } from '../../codes/window.ts';

/** The control a tray was put out under; the strictest of the profile where it knows none of that name. */
export const controlOf = (profile: RuleProfile, hold: Hold): TimeControl =>
  profile.timeControls.find(({ id }) => id === hold.plan.control) ?? profile.timeControls[0]!;

/** When a watched tray that nobody read is over; null for one that need not be watched. ms */
const unreadAt = (hold: Hold, { unreadSeconds }: TimeControl): number | null =>
  unreadSeconds === undefined ? null : hold.at + unreadSeconds * 1000;

/** A tray whose warmest part is watched, and was read while the shorter clock ran. */
export function isMonitored(hold: Hold, control: TimeControl): boolean {
  const due = unreadAt(hold, control);
  return due !== null && hold.readings.some(({ at }) => at > hold.at && at <= due);
}

const hotEnough = ({ si, unit }: { si: number; unit: string }, { startHot }: TimeControl): boolean =>
  startHot !== undefined && (unit === 'F' ? (si * 9) / 5 + 32 >= startHot.f - 1e-9 : si >= startHot.c - 1e-9);

/**
 * Time as the control: a tray once out is binned at its time, and does not go back. What the form asks is asked here as well:
 * that it starts cold (or hot), that a six-hour tray is read, and that no reading passes its ceiling.
 */
export const timeControl: Hazard = (context) =>
  context.chain
    .flatMap((piece) => piece.holds)
    .flatMap((hold): Reason[] => {
      const control = controlOf(context.profile, hold);
      const { startCore, label, discardAt } = hold.plan;
      const closes = (code: FindingCode, at: number, routes = ALL_ROUTES, evidence: number[] = []) =>
        reason(context, 'time-control', code, { kind: 'closes', at }, control, {
          routes,
          evidence: [hold.seq, ...evidence],
          seen: {
            label,
            hours: control.seconds / 3600,
            startedAt: hold.at,
            celsius: startCore.si,
            typed: startCore.typed,
            unreadHours: (control.unreadSeconds ?? 0) / 3600
          }
        });
      const out: Reason[] = [];
      const startsCold = atOrBelow({ celsius: startCore.si, unit: startCore.unit }, control.start);
      const startsHot = hotEnough(startCore, control);
      if (!startsCold) out.push(closes('time-control.started-warm', hold.at, startsHot ? RAW_ROUTES : ALL_ROUTES));
      const over = control.ceiling && hold.readings.find((reading) => !atOrBelow(reading, control.ceiling!));
      if (over) out.push(closes('time-control.too-warm', Math.max(over.at, hold.at), ALL_ROUTES, [over.seq]));
      const unread = isMonitored(hold, control) ? null : unreadAt(hold, control);
      const end = Math.min(discardAt, hold.at + control.seconds * 1000, unread ?? Infinity);
      out.push(closes(unread === end ? 'time-control.unread' : 'time-control.tray', end));
      return out;
    });
