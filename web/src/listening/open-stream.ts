export type DeviceProblem = 'NONE' | 'REFUSED' | 'IN_USE' | 'NOT_HERE';

/** A microphone or camera cannot be had; `code` says why. */
export class DeviceError extends Error {
  readonly code: DeviceProblem;

  constructor(code: DeviceProblem) {
    super(code);
    this.name = 'DeviceError';
    this.code = code;
  }
}

/** The browser's own names for what went wrong. */
const PROBLEMS: Readonly<Record<string, DeviceProblem>> = {
  NotFoundError: 'NONE',
  OverconstrainedError: 'NONE',
  NotAllowedError: 'REFUSED',
  SecurityError: 'REFUSED',
  NotReadableError: 'IN_USE',
  AbortError: 'IN_USE',
};

/** The devices of the browser; missing where the page is not served over HTTPS or from this machine. */
export function devices(): MediaDevices | undefined {
  return navigator.mediaDevices;
}

/**
 * Opens a microphone or a camera.
 *
 * @throws DeviceError
 */
export async function openStream(wanted: MediaStreamConstraints): Promise<MediaStream> {
  const here = devices();
  if (!here) throw new DeviceError('NOT_HERE');
  try {
    return await here.getUserMedia(wanted);
  } catch (error) {
    throw new DeviceError(PROBLEMS[error instanceof Error ? error.name : ''] ?? 'NONE');
  }
}
