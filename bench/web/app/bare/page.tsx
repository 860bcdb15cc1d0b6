/** The least that this framework can serve. */
export default function Bare() {
  return <main>Nothing but a sentence.</main>;
}
