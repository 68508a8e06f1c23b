export default function stopDatabase() {
  globalThis.testCluster.stop();
}
