<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A round that somebody walks: begun, handed over, finished; what was looked at on it, what was skipped and why. And
 * what an incident cost, as far as prices are known.
 *
 * Protects: a person has one round open; a system is told once a round; what is skipped is skipped for a reason.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE rounds (
                id          char(26) PRIMARY KEY,
                site_id     char(26) NOT NULL REFERENCES sites (id),
                user_id     char(26) REFERENCES users (id),
                began_at    timestamptz NOT NULL,
                ended_at    timestamptz CHECK (ended_at >= began_at),
                note        varchar(500),
                passed_by   char(26) REFERENCES users (id),
                passed_at   timestamptz,
                passed_note varchar(300),
                created_at  timestamptz NOT NULL DEFAULT now(),
                updated_at  timestamptz NOT NULL DEFAULT now(),
                UNIQUE (site_id, id),
                CHECK ((passed_by IS NULL) = (passed_at IS NULL))
            );
            CREATE UNIQUE INDEX rounds_open ON rounds (user_id) WHERE ended_at IS NULL;
            CREATE INDEX rounds_site ON rounds (site_id, began_at DESC);

            CREATE TABLE round_marks (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                round_id   char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                what       varchar(7) NOT NULL CHECK (what IN ('looked', 'skipped')),
                why        varchar(200),
                at         timestamptz NOT NULL,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (site_id, round_id) REFERENCES rounds (site_id, id) ON DELETE CASCADE,
                UNIQUE (round_id, system_id),
                CHECK (what = 'looked' OR why IS NOT NULL)
            );
            CREATE INDEX round_marks_system ON round_marks (system_id, at DESC);

            ALTER TABLE sites ADD COLUMN price_per_m3 double precision CHECK (price_per_m3 BETWEEN 0 AND 1000);
            ALTER TABLE incidents ADD COLUMN other_cost double precision CHECK (other_cost BETWEEN 0 AND 1e7);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE incidents DROP COLUMN other_cost;
            ALTER TABLE sites DROP COLUMN price_per_m3;
            DROP TABLE round_marks, rounds;
            SQL
            ,
        );
    }
};
