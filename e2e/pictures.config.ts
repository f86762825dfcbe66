/** Takes docs/screenshots anew: npx playwright test --config e2e/pictures.config.ts */
import base from './playwright.config';

export default { ...base, testDir: './pictures', reporter: [['list']] as [['list']] };
