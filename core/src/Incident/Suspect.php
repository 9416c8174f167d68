<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Data\BrokenTable;
use Ironwort\Core\Data\Row;
use Ironwort\Core\Words\Message;

/** What may be behind trouble: which causes it explains, and what of the book speaks for it or against it. */
final readonly class Suspect
{
    /**
     * @param  array<string, int>  $behind  points by cause, before anything is known
     * @param  list<array{evidence: Evidence, for: int, against: int}>  $pieces
     * @param  string  $page  where it is decided
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $decides,
        public string $page,
        public array $behind,
        public array $pieces,
    ) {}

    public static function from(Row $row): self
    {
        $behind = $row->row('behind');
        $points = [];
        foreach ($behind->keys() as $cause) {
            Cause::tryFrom($cause) ?? throw new BrokenTable("There is no cause {$cause}.");
            $points[$cause] = (int) $behind->number($cause);
        }

        return new self(
            $row->text('id'),
            $row->text('name'),
            $row->text('decides'),
            $row->text('page'),
            $points,
            array_map(
                static fn(Row $one): array => [
                    'evidence' =>
                        Evidence::tryFrom($one->text('id')) ??
                        throw new BrokenTable("There is no evidence {$one->text('id')}."),
                    'for' => (int) $one->number('speaks_for'),
                    'against' => (int) $one->number('speaks_against'),
                ],
                $row->rows('evidence'),
            ),
        );
    }

    /**
     * @param  list<Cause>  $causes  that were found
     * @return ?Suspicion null where it explains none of them
     */
    public function weigh(array $causes, Facts $now): ?Suspicion
    {
        $explains = array_intersect_key(
            $this->behind,
            array_flip(array_map(static fn(Cause $one): string => $one->value, $causes)),
        );
        if ($explains === []) {
            return null;
        }
        $score = max($explains);
        $for = $against = [];
        foreach ($this->pieces as $piece) {
            $holds = $piece['evidence']->holds($now);
            if ($holds === true && $piece['for'] > 0) {
                $score += $piece['for'];
                $for[] = $piece['evidence']->says($now, true);
            }
            if ($holds === false && $piece['against'] > 0) {
                $score -= $piece['against'];
                $against[] = $piece['evidence']->says($now, false);
            }
        }

        return new Suspicion(
            $this->id,
            $this->name,
            $score,
            self::once($for),
            self::once($against),
            Message::fromTable("suspect.{$this->id}", $this->decides),
            $this->page,
        );
    }

    /**
     * @param  list<Message>  $said
     * @return list<Message>
     */
    private static function once(array $said): array
    {
        return array_values(array_combine(array_map(static fn(Message $one): string => $one->text, $said), $said));
    }
}
