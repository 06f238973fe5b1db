// npm run theme: writes the variables of the theme into the style sheet that pages load.
import { writeFileSync } from 'node:fs';
import { themeSheet } from '../src/ui/theme';

writeFileSync('src/ui/theme.css', themeSheet());
