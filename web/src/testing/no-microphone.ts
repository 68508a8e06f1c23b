import { DeviceError } from '../listening/open-stream.ts';

/** A device without a microphone. */
export function startMicrophone(): Promise<never> {
  return Promise.reject(new DeviceError('NONE'));
}
