import { notFound } from "next/navigation";
import { z } from "zod";
import { BenchView } from "@/ui/bench/BenchView";
import { usualOf } from "@/ui/bench/calculator";
import { calculatorOf } from "@/ui/bench/calculators";
import { OwnCatalogue } from "../../own-catalogue";
import { withDatabase } from "../../with-database";

const TypedSchema = z.record(z.string(), z.string().max(2000).optional().catch(undefined));

interface Props {
  readonly params: Promise<{ what: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export async function generateMetadata({ params }: Props) {
  return { title: calculatorOf((await params).what)?.question ?? "Bench" };
}

/** One question, with what its address says of it. */
export default async function Page({ params, searchParams }: Props) {
  const one = calculatorOf((await params).what);
  if (!one) notFound();
  const said = TypedSchema.safeParse(await searchParams);
  const usual = usualOf(one.fields);
  const typed = Object.fromEntries(one.fields.map(({ key }) => [key, (said.success && said.data[key]) || usual[key]]));
  return withDatabase((db) => (
    <OwnCatalogue db={db}>
      <BenchView key={one.id} id={one.id} typed={typed} />
    </OwnCatalogue>
  ));
}
