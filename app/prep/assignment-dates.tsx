import { When } from '@app/ui/when';

interface DatesProps {
  opensAt: Date;
  closesAt: Date | null;
  closedEarlyAt: Date | null;
  isOver: boolean;
  zone: string;
}

/** From when to when an assignment is open, and whether it was closed before. */
export function Dates({ opensAt, closesAt, closedEarlyAt, isOver, zone }: DatesProps) {
  const isEarly = closedEarlyAt !== null && (closesAt === null || closedEarlyAt < closesAt);
  return (
    <>
      open from <When at={opensAt} zone={zone} />
      {isEarly ? (
        <>
          , closed <When at={closedEarlyAt} zone={zone} />
          {closesAt && ' before its time, '}
        </>
      ) : null}
      {closesAt && (
        <>
          {isEarly ? 'which is ' : isOver ? ', closed ' : ' until '}
          <When at={closesAt} zone={zone} />
        </>
      )}
    </>
  );
}
