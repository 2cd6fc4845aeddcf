import { useEffect, useRef } from 'react';

interface CodeCameraProps {
  /** A square was seen: its text. */
  readonly onSeen: (text: string) => void;
  /** There is no camera, or it may not be used. */
  readonly onRefused: () => void;
}

/** The picture of the camera behind the phone; the first square in it is read. */
export function CodeCamera({ onSeen, onRefused }: CodeCameraProps) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    let over = false;
    let stream: MediaStream | undefined;
    let later: ReturnType<typeof setTimeout> | undefined;
    const look = (read: (video: HTMLVideoElement) => string | undefined) => {
      const text = video.current ? read(video.current) : undefined;
      if (over) return;
      if (text) onSeen(text);
      else later = setTimeout(() => look(read), 150);
    };
    const open = async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 1280 } },
        });
        // Fetched only by who scans; the walk opens without it.
        const { readSquare } = await import('@/workers/read-square');
        if (over || !video.current) return;
        video.current.srcObject = stream;
        await video.current.play();
        look(readSquare);
      } catch {
        if (!over) onRefused();
      }
    };
    void open();
    return () => {
      over = true;
      clearTimeout(later);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [onSeen, onRefused]);
  return (
    <video
      ref={video}
      muted
      playsInline
      style={{ width: '100%', maxHeight: 320, borderRadius: 16, background: '#000' }}
    />
  );
}
