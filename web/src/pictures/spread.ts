/**
 * Moves labels apart so that none overlaps its neighbour, as little as possible (pool adjacent violators on their centres).
 *
 * @param centres wanted centres, ascending, px
 * @param widths widths, px
 * @returns centres without overlap, inside from..to where they fit
 */
export function spread(centres: readonly number[], widths: readonly number[], from: number, to: number): number[] {
  interface Block {
    first: number;
    count: number;
    centre: number;
    width: number;
  }
  const blocks: Block[] = [];
  const width = (i: number) => widths[i] ?? 0;
  const clamp = (b: Block) => {
    b.centre = Math.max(from + b.width / 2, Math.min(to - b.width / 2, b.centre));
  };
  centres.forEach((c, i) => {
    let block: Block = { first: i, count: 1, centre: c, width: width(i) };
    clamp(block);
    for (let last = blocks[blocks.length - 1]; last; last = blocks[blocks.length - 1]) {
      if (last.centre + last.width / 2 <= block.centre - block.width / 2 + 1e-9) {
        break;
      }
      blocks.pop();
      const count = last.count + block.count;
      let offset = 0;
      let sum = 0;
      for (let k = last.first; k < last.first + count; k++) {
        sum += (centres[k] ?? 0) - (offset + width(k) / 2);
        offset += width(k);
      }
      block = { first: last.first, count, centre: sum / count + offset / 2, width: offset };
      clamp(block);
    }
    blocks.push(block);
  });
  return blocks.flatMap((b) => {
    let left = b.centre - b.width / 2;
    return Array.from({ length: b.count }, (_, k) => {
      const w = width(b.first + k);
      left += w;
      return left - w / 2;
    });
  });
}
