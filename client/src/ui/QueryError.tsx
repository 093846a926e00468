import { Alert, Button } from 'antd';

interface Props {
  title: string;
  query: { error: Error | null; refetch: () => unknown };
}

/** Stands where something could not be had, and asks for it again. */
export function QueryError({ title, query }: Props) {
  return (
    <Alert
      type="error"
      title={title}
      description={query.error?.message}
      action={<Button onClick={() => void query.refetch()}>Try again</Button>}
    />
  );
}
