import 'fake-indexeddb/auto';
import 'react-native-css-interop/dist/runtime/components';

// The browser has it; the stand-in for the browser does not.
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never;
