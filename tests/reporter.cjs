/** The spec reporter for people; the counts, what failed and the slowest tests as JSON for the closing lines. */
const { writeFileSync } = require('node:fs');
const { reporters } = require('mocha');

const SLOWEST = 10;

module.exports = class CountingReporter extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const took = [];
    const broken = [];
    runner.on('fail', (test, error) => broken.push({ title: test.fullTitle(), why: error.stack || String(error) }));
    runner.on('test end', (test) => took.push({ title: test.fullTitle(), ms: test.duration ?? 0 }));
    runner.once('end', () => {
      const { tests, passes, failures, pending } = this.stats;
      const slowest = took.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST);
      if (process.env.EMBER_TIDE_REPORT) {
        const told = { tests, passes, failures, pending, slowest, broken };
        writeFileSync(process.env.EMBER_TIDE_REPORT, JSON.stringify(told));
      }
    });
  }
};
