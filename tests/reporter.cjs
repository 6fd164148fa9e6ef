/** The spec reporter for people, and the counts as JSON for the closing line. */
const { writeFileSync } = require('node:fs');
const { reporters } = require('mocha');

module.exports = class CountingReporter extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once('end', () => {
      const { tests, passes, failures, pending } = this.stats;
      if (process.env.EMBER_TIDE_REPORT) {
        writeFileSync(process.env.EMBER_TIDE_REPORT, JSON.stringify({ tests, passes, failures, pending }));
      }
    });
  }
};
