import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/api/schema.ts'] },
  ...tseslint.configs.strict,
  reactHooks.configs.flat.recommended,
);
