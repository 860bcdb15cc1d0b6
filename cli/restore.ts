// Brings back a backup: `npm run restore -- FILE`. Without a file it lists the backups that there are.
import { issueText } from "@/core/shared/issue-text";
import { backupsOf } from "@/db/backups";
import { databaseFile } from "@/db/database";
import { restore } from "@/db/restore";
import { print, refuse } from "./common";

const [backup, ...more] = process.argv.slice(2);
if (more.length > 0) refuse(`${more[0]} is one file too many; expected one backup`);
const file = databaseFile();
if (backup === undefined) {
  const lines = backupsOf(file).map(({ file: name, at, reason }) => `${at}  ${reason}  ${name}\n`);
  print(lines.length > 0 ? lines.join("") : `There are no backups of ${file} yet.\n`);
} else {
  const done = await restore(backup, file, new Date());
  if (!done.ok) refuse(issueText(done.issues[0]));
  else print(`${file} is again as in ${backup}.${done.value.before ? ` What stood there is in ${done.value.before}.` : ""}\n`);
}
