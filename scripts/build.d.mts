export function build(
  root: string,
  say: (text: string) => void,
  names?: ('server' | 'web')[],
): void;
