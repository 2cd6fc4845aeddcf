import { configure } from '@testing-library/react';
import '../src/i18n';
import '../src/i18n/later';

// What a screen reader can reach is looked at in a real browser; here it costs seconds for each query.
configure({ defaultHidden: true });
