import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { Marks } from './Marks';

type Piece = Schemas['ReportPiece'];
/** A link to where a missing reading is taken. */
export type ToMeasure = (what: Schemas['ToMeasure']) => ReactNode;

/** A report in words, as it is for its audience. */
export function ToldView({ told, toMeasure }: { told: Schemas['Told']; toMeasure?: ToMeasure }) {
  return (
    <article className="report max-w-4xl">
      <h2 className="text-2xl font-bold">{told.title}</h2>
      <p className="text-soft">{told.about}</p>
      {told.note && (
        <p className="mt-3 max-w-prose border-l-4 border-ink pl-3 text-lg whitespace-pre-line">{told.note}</p>
      )}
      {told.sections.map((section) => (
        <SectionView key={section.part} section={section} toMeasure={toMeasure} />
      ))}
      <p className="mt-8 border-t border-rule pt-2 text-sm text-soft">{told.footer}</p>
    </article>
  );
}

export function SectionView({ section, toMeasure }: { section: Schemas['ReportSection']; toMeasure?: ToMeasure }) {
  return (
    <section className="mt-7 border-t-2 border-ink pt-2">
      <h3 className="text-xl font-bold">{section.heading}</h3>
      <p className="max-w-prose text-lg">{section.answer}</p>
      {section.pieces.map((piece, i) => (
        <PieceView key={i} piece={piece} toMeasure={toMeasure} />
      ))}
    </section>
  );
}

/** Wider drawings have a row of their own. */
const NARROW = 340;

function PieceView({ piece, toMeasure }: { piece: Piece; toMeasure?: ToMeasure }) {
  const beside = !piece.table && piece.drawings.length > 0 && piece.drawings.every((d) => d.width <= NARROW);
  return (
    <div className={`mt-4 break-inside-avoid ${beside ? 'gap-6 md:grid md:grid-cols-[minmax(0,1fr)_21.5rem]' : ''}`}>
      <PieceWords piece={piece} toMeasure={toMeasure} />
      <div>
        {piece.drawings.map((d, i) => (
          <div key={i} className="mt-2 overflow-x-auto" tabIndex={d.width > NARROW ? 0 : undefined}>
            <Marks drawing={d} />
          </div>
        ))}
      </div>
    </div>
  );
}

function PieceWords({ piece, toMeasure }: { piece: Piece; toMeasure?: ToMeasure }) {
  return (
    <div className="min-w-0">
      {piece.heading && <h4 className="font-bold">{piece.heading}</h4>}
      {piece.sentences.map((s, i) => (
        <p key={i} className="max-w-prose">
          {s}
        </p>
      ))}
      {piece.table && <Table table={piece.table} name={piece.heading} />}
      {piece.toMeasure.map((m, i) => (
        <p key={i} className="text-soft">
          {m.words} {toMeasure?.(m)}
        </p>
      ))}
    </div>
  );
}

function Table({ table, name }: { table: NonNullable<Piece['table']>; name: string }) {
  return (
    <div className="mt-1 overflow-x-auto" tabIndex={0} role="region" aria-label={`Table: ${name}`}>
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left text-soft">
            {table.head.map((h, i) => (
              <th key={i} scope="col" className="py-1 pr-4 align-bottom font-normal">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, r) => (
            <tr key={r} className="border-t border-rule align-top">
              {row.map((cell, i) =>
                i === 0 ? (
                  <th key={i} scope="row" className="py-1 pr-4 text-left font-semibold">
                    {cell}
                  </th>
                ) : (
                  <td key={i} className="py-1 pr-4">
                    {cell}
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
