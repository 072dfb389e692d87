import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** One direction: a folder knows those before it, and none behind it. */
const FOLDERS = ['units', 'api', 'words', 'preferences', 'kit', 'pictures', 'bench', 'stations', 'app'];

const boundaries = FOLDERS.map((folder, i) => ({
  files: [`src/${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: FOLDERS.slice(i + 1).map((later) => ({
          regex: `^(\\.\\./)+${later}/`,
          message: `${folder} is before ${later}, and knows nothing of it.`,
        })),
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['src/api/schema.ts'] },
  ...tseslint.configs.strict,
  reactHooks.configs.flat.recommended,
  { rules: { 'max-lines': ['error', 400] } },
  ...boundaries,
);
