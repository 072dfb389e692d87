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
  {
    files: ['src/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      // What is said has to be rendered: an object in a sentence is a message without its words.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
    },
  },
  reactHooks.configs.flat.recommended,
  { rules: { 'max-lines': ['error', 400] } },
  ...boundaries,
);
