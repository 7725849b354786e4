/** The three stones: the app's mark, and the start on every sketch; its foot is at 0, 0. */
export function CairnStones() {
  return (
    <g fill="currentColor">
      <ellipse cx="0" cy="-4" rx="14" ry="5" />
      <ellipse cx="-1" cy="-13" rx="10" ry="4.5" />
      <ellipse cx="0.5" cy="-21.5" rx="6" ry="4" />
    </g>
  );
}

export function CairnMark({ size = 28 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="-16 -30 32 34" aria-hidden="true">
      <CairnStones />
    </svg>
  );
}
