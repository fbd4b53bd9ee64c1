/** Reasons a command is not carried out, other than bad input. Each knows the status it is answered with. */
export abstract class Refusal extends Error {
  abstract readonly status: number
  abstract readonly code: string
  /** Further facts for the one who asked. */
  details(): Record<string, unknown> {
    return {}
  }
}

export class NotFound extends Refusal {
  readonly status = 404
  readonly code = 'not-found'
}

/** More is asked at once than can be done; told with when to come again. */
export class Busy extends Refusal {
  readonly status = 503
  readonly code = 'busy'
  constructor(readonly retryAfterSeconds: number) {
    super(`Busy. Try again in ${retryAfterSeconds} seconds.`)
  }
}

/** It was ended, so that others can work. */
export class TookTooLong extends Refusal {
  readonly status = 503
  readonly code = 'took-too-long'
}

/** The disk is full: what was being kept was left out whole. */
export class NoRoom extends Refusal {
  readonly status = 507
  readonly code = 'no-room'
  constructor() {
    super('There is no room left on the disk of the bench. Nothing of this was kept. Make room, then send it again.')
  }
}

export class NotAllowed extends Refusal {
  readonly status = 403
  readonly code = 'not-allowed'
}

/** The state of things forbids it, such as a sign-off while the gate is closed; says why. */
export class NotNow extends Refusal {
  readonly status = 409
  readonly code = 'not-now'
  constructor(
    message: string,
    readonly because: string[] = [],
  ) {
    super(message)
  }

  override details() {
    return { because: this.because }
  }
}

/** Somebody else changed the row since it was read. Carries what it says now, who changed it and when. */
export class Stale extends Refusal {
  readonly status = 409
  readonly code = 'stale'
  constructor(
    readonly current: Record<string, unknown>,
    readonly changedBy: string,
    readonly changedAt: string,
  ) {
    super(`${changedBy} changed this while you were working on it. Nothing of yours is lost: compare the two and choose.`)
  }

  override details() {
    return { current: this.current, changedBy: this.changedBy, changedAt: this.changedAt }
  }
}
