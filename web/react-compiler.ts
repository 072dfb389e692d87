import { transform } from '@swc/core';
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
        return transform(code, {
          filename: id,
          swcrc: false,
          configFile: false,
          sourceMaps: true,
          jsc: {
            target: 'esnext',
            parser: { syntax: 'typescript', tsx: id.endsWith('x') },
            // What is drawn stays written as it is: that is the bundler's own work.
            transform: { react: { runtime: 'preserve' }, reactCompiler: true },
          },
        });
      },
    },
  };
}
