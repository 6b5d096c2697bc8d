/** A blend of grades, broken only between its parts. */
export function Blend({ text }: { text: string }) {
  return text.split(/( \+ | → )/).map((part, i) =>
    i % 2 === 1 ? (
      part
    ) : (
      <span key={`${i}${part}`} style={{ whiteSpace: 'nowrap' }}>
        {part}
      </span>
    ),
  );
}
