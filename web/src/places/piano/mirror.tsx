import { UnstyledButton } from '@mantine/core';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { DeviceError, devices, openStream, type DeviceProblem } from '../../listening/open-stream.ts';
import classes from './run.module.css';

function useHasCamera(): boolean {
  const [has, setHas] = useState(false);
  useEffect(() => {
    let isGone = false;
    void devices()
      ?.enumerateDevices()
      .then((found) => {
        if (!isGone) setHas(found.some(({ kind }) => kind === 'videoinput'));
      });
    return () => {
      isGone = true;
    };
  }, []);
  return has;
}

/** The camera as a mirror. The picture goes from the camera to this screen and nowhere else. */
function Picture({ onTrouble }: { readonly onTrouble: (problem: DeviceProblem) => void }): ReactElement {
  const { t } = useTranslation();
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    let stream: MediaStream | undefined;
    let isGone = false;
    const close = (): void => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
    void openStream({ video: { facingMode: 'user' } }).then(
      (opened) => {
        stream = opened;
        if (isGone) close();
        else if (video.current) video.current.srcObject = opened;
      },
      (error: unknown) => {
        if (!isGone) onTrouble(error instanceof DeviceError ? error.code : 'NONE');
      },
    );
    return () => {
      isGone = true;
      close();
    };
  }, [onTrouble]);
  return <video ref={video} autoPlay muted playsInline aria-label={t('piano.mirror.picture')} />;
}

/** A mirror beside the cue, on a device with a camera; off until it is asked for, and off again with the step. */
export function Mirror(): ReactElement | null {
  const { t } = useTranslation();
  const hasCamera = useHasCamera();
  const [isOn, setOn] = useState(false);
  const [trouble, setTrouble] = useState<DeviceProblem | null>(null);
  const [fail] = useState(() => (problem: DeviceProblem) => {
    setTrouble(problem);
    setOn(false);
  });
  if (!hasCamera) return null;
  return (
    <div className={classes['mirror']}>
      <UnstyledButton
        aria-pressed={isOn}
        onClick={() => {
          setTrouble(null);
          setOn(!isOn);
        }}
      >
        {isOn ? t('piano.mirror.off') : t('piano.mirror.on')}
      </UnstyledButton>
      {isOn && <Picture onTrouble={fail} />}
      <small role="status">{trouble ? t(`piano.mirror.${trouble}`) : isOn ? t('piano.mirror.private') : ''}</small>
    </div>
  );
}
