import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { MadeFiles } from '../../../shared/ui/MadeFiles';
import { FigureView } from '../../../shared/draw/FigureView';

const WORKS = ['hand-out'];

/** The session in the client's words, to print; the PDF says the same. */
export function HandoutPage() {
  const { clientId = '', sessionId = '' } = useParams();
  const path = { clientId, sessionId };
  const handout = useQuery({
    queryKey: ['handout', clientId, sessionId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/sessions/{sessionId}/handout', { params: { path } })),
  });
  const page = handout.data;
  if (!page) return <Failure error={handout.error} />;
  return (
    <article className="mx-auto max-w-2xl text-lg">
      <div className="no-print mb-6">
        <MadeFiles works={WORKS}>
          <div className="flex flex-wrap items-center gap-3">
            <Button look="main" onClick={() => print()}>
              Print
            </Button>
            <a
              className="inline-flex min-h-11 items-center border border-rule bg-card px-4 font-semibold hover:bg-tread"
              href={`/api/clients/${clientId}/sessions/${sessionId}/handout.pdf`}
              target="_blank"
              rel="noreferrer"
            >
              As PDF
            </a>
            <Link className="underline" to={`/clients/${clientId}/compose/${sessionId}`}>
              Back to the score
            </Link>
          </div>
        </MadeFiles>
      </div>
      <h1 className="text-4xl font-bold">{page.title}</h1>
      <p className="mb-4 text-soft">
        For {page.client}, about {page.minutes} minutes
      </p>
      {page.lowered.map((why) => (
        <p key={why} className="mb-4 font-bold">
          {why}
        </p>
      ))}
      <section className="mb-6 break-inside-avoid border-l-4 border-warn pl-4">
        <h2 className="text-xl font-bold text-warn">Stop at once for</h2>
        <ul className="list-disc pl-5">
          {page.stopSigns.map((sign) => (
            <li key={sign}>{sign}</li>
          ))}
        </ul>
        <p className="text-base text-soft">{page.calm}</p>
      </section>
      {page.warmUp.length > 0 && (
        <section className="mb-6 break-inside-avoid">
          <h2 className="text-2xl font-bold">Warm up</h2>
          <ul className="list-disc pl-5">
            {page.warmUp.map((block, i) => (
              <li key={i}>{block}</li>
            ))}
          </ul>
        </section>
      )}
      {page.lines.map((line, i) => (
        <LineOnPaper key={i} line={line} />
      ))}
    </article>
  );
}

/** One line stays on one page. */
function LineOnPaper({ line }: { line: Schemas['HandoutLine'] }) {
  return (
    <section className="mb-8 break-inside-avoid">
      <h2 className="text-2xl font-bold">{line.title}</h2>
      {line.rounds && <p className="font-semibold">{line.rounds}</p>}
      <div className="my-2 flex flex-wrap gap-6">
        {line.figures.map(
          (drawing) =>
            drawing.figure && (
              <figure key={drawing.caption} className="w-56">
                <FigureView figure={drawing.figure} label={`${line.title}, ${drawing.caption}`} />
                <figcaption className="text-base">{drawing.caption}</figcaption>
              </figure>
            ),
        )}
      </div>
      <p className="mb-2">{line.setUp}</p>
      {line.doses.map((doses) => (
        <div key={doses.head}>
          {doses.head && <h3 className="font-bold">{doses.head}:</h3>}
          <ol className="mb-2 list-decimal pl-6">
            {doses.blocks.map((block, i) => (
              <li key={i}>{block}</li>
            ))}
          </ol>
        </div>
      ))}
      {line.watch && <p className="text-base">Watch: {line.watch}</p>}
      {line.stops && <p className="text-base text-warn">Stop here also for: {line.stops}</p>}
    </section>
  );
}
