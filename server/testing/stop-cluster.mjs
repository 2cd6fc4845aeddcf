export default function stop() {
  globalThis.stopTestCluster?.();
}
