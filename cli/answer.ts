// One model's answer on standard output, with its units, the inputs it holds for, how sure it is and its source.
import { ABOUT, type Explained } from "@/core/methods/about";
import { explained } from "@/core/methods/explained";
import { print, readJson, refuse, valueOrRefuse } from "./common";

const args = process.argv.slice(2);
const flag = args.find((arg) => arg.startsWith("--"));
if (flag) refuse(`${flag} is not an option; expected the name of a model and a file with its input`);
if (args.length < 1 || args.length > 2)
  refuse(`${args.length} words are given; expected the name of a model and a file with its input`);
const [name, file = "-"] = args;
const isKnown = (text: string): text is Explained => Object.hasOwn(ABOUT, text);
if (!isKnown(name)) refuse(`the model is ${JSON.stringify(name)}; expected one of ${Object.keys(ABOUT).join(", ")}`);
else print(`${JSON.stringify(valueOrRefuse(explained(name, readJson(file))), null, 1)}\n`);
