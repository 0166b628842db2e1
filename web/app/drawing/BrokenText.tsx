/** Words in a drawing in as many lines as its room asks for; read out, and found, as one. */

/** From line to line, px. */
export const LINE = 14;

export function BrokenText({
  lines,
  x,
  ...text
}: { readonly lines: readonly string[]; readonly x: number } & React.SVGProps<SVGTextElement>) {
  return (
    <text {...text} x={x}>
      {lines.map((line, i) => (
        <tspan key={line} x={x} dy={i === 0 ? 0 : LINE}>
          {`${line} `}
        </tspan>
      ))}
    </text>
  );
}
