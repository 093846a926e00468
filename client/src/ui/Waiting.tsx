import { Skeleton } from 'antd';

/** Stands where something is on its way. Without the title of Ant Design's own, which is a heading that says nothing. */
export function Waiting({ rows = 3 }: { rows?: number }) {
  return (
    <div className="waiting" role="status" aria-label="On its way">
      <Skeleton active={false} title={false} paragraph={{ rows }} />
    </div>
  );
}
