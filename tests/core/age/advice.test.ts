import { expect } from 'chai';
import fc from 'fast-check';
import { NEAR_ENOUGH, pullAdvice, type Sitting } from '../../../src/lib/core/bench/age/advice.ts';
import { looked, missedDays, notPrepared } from '../../../src/lib/core/bench/age/looks.ts';
import { LOOK_FIELDS, LOOKS, PREPARATION, type LookAnswers } from '../../../src/lib/core/activity/age/lists.ts';
import { ADVICE_WORDS, answerWords, lookWords } from '../../../src/lib/words/age.ts';
import { adviceWords, outlookWords, readyWords } from '../../../src/lib/words/ageing.ts';
import { CHART, weightChart } from '../../../src/lib/ui/age/chart.ts';
import type { AgeRun } from '../../../src/lib/core/activity/age/fold.ts';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 2, 11, 12);
const at = (days: number) => NOW + days * DAY;
const sitting = (name: string, days: number): Sitting => ({ id: name.toLowerCase(), name, at: at(days) });
const WEEK = [sitting('Thursday', 1), sitting('Saturday', 3), sitting('Sunday', 4)];
/** Loses a hundredth a day, and has lost so much by now. */
const losing = (soFar: number) => ({
  lossAt: (moment: number) => {
    const likely = soFar + (0.01 * (moment - NOW)) / DAY;
    return { low: likely * 0.95, likely, high: likely * 1.05 };
  },
  targetAt: at((0.1 - soFar) / 0.01)
});
const asked = {
  now: NOW,
  target: 0.1,
  closes: at(10) as number | null,
  stopped: false,
  sittings: WEEK,
  ...losing(0.07)
};

describe('pull now, Saturday, or never', () => {
  it('the first service that finds it near enough to what was wanted', () => {
    const advice = pullAdvice(asked);
    expect(advice).to.include({ what: 'service', code: 'ready-for' });
    expect(advice.service!.name).to.equal('Saturday');
    expect(advice.sittings.map(({ fit }) => fit)).to.deep.equal(['under', 'ready', 'ready']);
    expect(adviceWords(advice)).to.equal('Take it out for Saturday');
  });
  it('now, where it is ready and no service ahead would find it so, or it has lost too much already', () => {
    expect(pullAdvice({ ...asked, sittings: [], ...losing(0.1) }).code).to.equal('ready-no-service');
    expect(pullAdvice({ ...asked, ...losing(0.14) })).to.include({ what: 'now', code: 'over-now' });
  });
  it('never, where a sign stopped it, its window closes first, is closed, or was never cleared', () => {
    expect(pullAdvice({ ...asked, stopped: true }).code).to.equal('stopped');
    expect(pullAdvice({ ...asked, closes: at(1) }).code).to.equal('closes-first');
    expect(pullAdvice({ ...asked, closes: at(-1) }).code).to.equal('closed');
    expect(pullAdvice({ ...asked, closes: -Infinity }).code).to.equal('not-cleared');
    expect(pullAdvice({ ...asked, sittings: [], targetAt: null }).code).to.equal('never-reaches');
  });
  it('later, where no service planned lies where it is ready', () => {
    expect(pullAdvice({ ...asked, sittings: [sitting('Thursday', 1)] })).to.include({
      what: 'later',
      code: 'after-services'
    });
  });
  it('a service that has begun is none ahead; none is ever advised after the window closes', () => {
    expect(pullAdvice({ ...asked, sittings: [sitting('Lunch', -0.1)] }).sittings).to.have.length(0);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: -1, max: 12, noNaN: true }),
        (soFar, closesIn) => {
          const advice = pullAdvice({ ...asked, ...losing(soFar), closes: at(closesIn) });
          if (advice.service) {
            expect(advice.service.at).to.be.at.most(at(closesIn));
            const loss = losing(soFar).lossAt(advice.service.at).likely;
            expect(loss).to.be.within(0.1 * NEAR_ENOUGH.from - 1e-9, 0.1 * NEAR_ENOUGH.to + 1e-9);
          }
          if (closesIn <= 0) expect(advice.what).to.equal('never');
        }
      )
    );
  });
  it('every advice and every outlook has its words', () => {
    for (const code of Object.keys(ADVICE_WORDS) as (keyof typeof ADVICE_WORDS)[])
      expect(adviceWords({ code, service: WEEK[0]! }).length, code).to.be.greaterThan(5);
    const [first] = pullAdvice(asked).sittings;
    expect(outlookWords(first!)).to.equal('8.0\u00a0% too moist');
    expect(outlookWords({ ...first!, fit: 'over' })).to.contain('too dry');
    expect(outlookWords({ ...first!, open: false })).to.equal('window closed');
    const run = { at: NOW } as AgeRun;
    const days = (low: number, likely: number, high: number) => ({ targetDay: { low, likely, high } });
    expect(readyWords(run, days(1.2, 2.4, 4.9))).to.equal('Fri, day 3 (2 to 5)');
    expect(readyWords(run, days(8, 20, 60))).to.contain('or never');
    expect(readyWords(run, { targetDay: null })).to.equal('never in this air');
  });
});

describe('the daily look', () => {
  const fine: LookAnswers = { skin: 'dry', eye: 'clear', smell: 'clean', slime: 'none', firmness: 'firm' };
  it('nothing stops a fish that is as it should be', () => {
    expect(looked(fine)).to.deep.equal({ stops: [], again: [] });
    expect(looked({ ...fine, eye: 'no-head', firmness: 'springy' })).to.deep.equal({ stops: [], again: [] });
  });
  it('off smell and slime end every route, cooked too; wet skin, sunken eye, soft flesh the raw ones', () => {
    for (const worse of [{ smell: 'off' }, { slime: 'some' }] as const)
      expect(looked({ ...fine, ...worse }).stops[0]!.routes).to.include('cooked');
    for (const worse of [{ skin: 'wet' }, { eye: 'sunken' }, { firmness: 'soft' }] as const) {
      const [stop] = looked({ ...fine, ...worse }).stops;
      expect(stop!.routes).to.include('raw');
      expect(stop!.routes).to.not.include('cooked');
    }
    expect(looked({ ...fine, smell: 'off', slime: 'some', skin: 'wet' }).stops).to.have.length(3);
  });
  it('tacky, dull and faint are looked at again', () => {
    expect(looked({ ...fine, skin: 'tacky', eye: 'dull', smell: 'faint' }).again).to.deep.equal([
      'skin',
      'eye',
      'smell'
    ]);
  });
  it('every answer has its words', () => {
    for (const field of LOOK_FIELDS)
      for (const answer of LOOKS[field]) {
        expect(answerWords(field, answer)).to.not.equal('');
        expect(lookWords(field, answer)).to.match(/^[a-z]/);
      }
  });
  it('what of the list was not done, for a whole fish and for a fillet', () => {
    expect(notPrepared('whole', PREPARATION.whole)).to.deep.equal([]);
    expect(notPrepared('whole', ['gutted', 'scaled'])).to.deep.equal(['scrubbed', 'wiped', 'dried']);
    expect(notPrepared('fillet', ['trimmed', 'wiped', 'dried'])).to.deep.equal([]);
  });
  it('a day on which nobody looked is missed by the house’s own day; today is not yet', () => {
    const house = { zone: 'UTC', dayEndsHour: 4 };
    const looks = [at(1), at(3) + 15 * 3600_000];
    // 03:00 of the fifth still belongs to the fourth day.
    expect(missedDays(NOW, looks, at(5), house)).to.deep.equal(['2026-03-13', '2026-03-15']);
    expect(missedDays(NOW, [], NOW + 3600_000, house)).to.deep.equal([]);
    expect(missedDays(NOW, [at(1)], at(2), house)).to.deep.equal([]);
  });
});

describe('the drawing of the weights', () => {
  const curve = [0, 2, 4, 8].map((day) => ({
    day,
    low: 2950 - day * 40,
    likely: 3000 - day * 30,
    high: 3010 - day * 20
  }));
  it('time runs right, weight falls, and the wanted weight lies inside the frame', () => {
    const chart = weightChart(
      curve,
      [
        { day: 0, grams: 3000, odd: false },
        { day: 3, grams: 2910, odd: false }
      ],
      2760
    );
    expect(chart.x(0)).to.equal(CHART.left);
    expect(chart.x(8)).to.equal(CHART.right);
    expect(chart.y(3000)).to.be.lessThan(chart.y(2760));
    expect(chart.wanted).to.be.within(CHART.top, CHART.bottom);
    expect(chart.days.every(Number.isInteger)).to.equal(true);
    expect(chart.fan.startsWith('M')).to.equal(true);
  });
  it('an odd weight far outside is drawn as well', () => {
    const chart = weightChart(curve, [{ day: 1, grams: 300, odd: true }], 2760);
    expect(chart.y(300)).to.be.at.most(CHART.bottom);
  });
});
