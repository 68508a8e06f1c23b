// npm start: looks whether this Node can do it, then sets up and serves. Plain old JavaScript, so that an old Node can read it.
const LEAST = [20, 19];
const [major, minor] = process.versions.node.split('.').map(Number);
if (major < LEAST[0] || (major === LEAST[0] && minor < LEAST[1])) {
  console.error(
    `\n  Soft Lark needs Node.js ${LEAST.join('.')} or newer; this is ${process.versions.node}. Install a newer one, then run npm start again.\n`,
  );
  process.exit(1);
}
import('./set-up-and-serve.mjs');
