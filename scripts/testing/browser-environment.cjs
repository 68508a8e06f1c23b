const { TestEnvironment } = require('jest-environment-jsdom');

/** What a browser has and the document of the tests has not; Node has the same. */
const FROM_NODE = ['Response', 'Headers', 'structuredClone', 'TextEncoder', 'TextDecoder'];

module.exports = class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of FROM_NODE) this.global[name] = globalThis[name];
    // The page asks for addresses of its own, and with signals of its own; Node knows of neither.
    this.global.Request = class extends Request {
      constructor(input, { signal, ...init } = {}) {
        super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init);
      }
    };
  }
};
