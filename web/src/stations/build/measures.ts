import type { Schemas } from '../../api/client';

export const SOURCE: Record<Schemas['SheetFigure']['source'], string> = {
  PUBLISHED: 'published',
  OWN: 'your own',
  ESTIMATE: '≈ our estimate',
};
