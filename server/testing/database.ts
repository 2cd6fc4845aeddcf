export const TEMPLATE = 'nazar_template';

/** The address of a database of the test cluster. */
export function databaseUrl(name: string): string {
  const { TEST_CLUSTER_URL } = process.env;
  if (!TEST_CLUSTER_URL) throw new Error('The test cluster is not running.');
  const url = new URL(TEST_CLUSTER_URL);
  url.pathname = `/${name}`;
  return url.href;
}
