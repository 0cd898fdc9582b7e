/** The mark of the product. */
export function Logo() {
  return (
    <svg width="22" height="24" viewBox="0 0 22 24" aria-hidden="true">
      <path d="M6 2h2v20H6zM2 21h11v2H2z" fill="var(--ink)" />
      <path d="M8 2.5h12L16.5 6 20 9.5H8z" fill="var(--spruce)" />
    </svg>
  );
}
