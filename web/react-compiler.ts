import { transformAsync } from '@babel/core';
import type { Plugin } from 'vite';

/**
 * Has each part of the interface remember what it drew, by React's own compiler: a drag draws a handful of figures anew, and not
 * the whole station. For what is built alone; tests of single parts read the sources as they are.
 */
export function reactCompiler(): Plugin {
  return {
    name: 'isotherm-react-compiler',
    apply: 'build',
    enforce: 'pre',
    transform: {
      filter: { id: { include: /\/src\/.*\.tsx?$/, exclude: /node_modules/ }, code: /\buse[A-Z]|<[A-Za-z>]/ },
      async handler(code, id) {
        const compiled = await transformAsync(code, {
          filename: id,
          babelrc: false,
          configFile: false,
          sourceMaps: true,
          parserOpts: { plugins: ['typescript', 'jsx'] },
          plugins: ['babel-plugin-react-compiler'],
        });
        return compiled && { code: compiled.code ?? code, map: compiled.map };
      },
    },
  };
}
