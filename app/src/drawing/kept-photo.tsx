import { useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import { loadPhoto } from '@/state';

interface KeptPhotoProps {
  readonly id: string;
  readonly label: string;
  /** Height in px; the width follows, four to three. */
  readonly size: number;
}

/** A photo from this device or the server. */
export function KeptPhoto({ id, label, size }: KeptPhotoProps) {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    let made: string | undefined;
    let gone = false;
    void loadPhoto(id).then((blob) => {
      if (!blob || gone) return;
      made = URL.createObjectURL(blob);
      setAddress(made);
    });
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  const box = { width: (size * 4) / 3, height: size };
  if (!address) return <View className="rounded-lg bg-line" style={box} aria-hidden />;
  return (
    <Image
      source={{ uri: address }}
      accessibilityLabel={label}
      resizeMode="cover"
      style={{ ...box, borderRadius: 8 }}
    />
  );
}
