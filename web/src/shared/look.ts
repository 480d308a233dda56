import type { JobDesk } from "./desk";
import type { NodeName, Parts } from "./found";

/** What one part of a page shows of what follows from a job: the same object for as long as none of its nodes changes. */
export class Look<Name extends NodeName> {
  private last: Pick<Parts, Name> | null = null;
  private begun = false;

  constructor(
    private readonly desk: JobDesk,
    readonly names: readonly Name[],
  ) {}

  readonly shown = (): Pick<Parts, Name> => {
    const found = this.desk.found();
    const { last } = this;
    if (last && this.names.every((name) => last[name] === found.get(name))) return last;
    this.last = Object.fromEntries(this.names.map((name) => [name, found.get(name)])) as Pick<Parts, Name>;
    return this.last;
  };

  /** Nobody begins with what is not the newest; who shows it already goes on until the newest is there. */
  mayBeShown(): boolean {
    return this.begun || this.names.every((name) => this.desk.found().isFresh(name));
  }

  /** It is drawn: its nodes come with every answer from now on. @returns what ends it */
  begin(): () => void {
    this.begun = true;
    return this.desk.show(this.names);
  }
}
