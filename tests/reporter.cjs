/** The spec reporter for people; the counts and the slowest tests as JSON for the closing lines. */
const { writeFileSync } = require('node:fs');
const { reporters } = require('mocha');

const SLOWEST = 10;

module.exports = class CountingReporter extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const took = [];
    runner.on('test end', (test) => took.push({ title: test.fullTitle(), ms: test.duration ?? 0 }));
    runner.once('end', () => {
      const { tests, passes, failures, pending } = this.stats;
      const slowest = took.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST);
      if (process.env.EMBER_TIDE_REPORT) {
        writeFileSync(process.env.EMBER_TIDE_REPORT, JSON.stringify({ tests, passes, failures, pending, slowest }));
      }
    });
  }
};
