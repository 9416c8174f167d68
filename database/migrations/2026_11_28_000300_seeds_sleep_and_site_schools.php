<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Seeds are deeds with a donor and a band; sleep that has ended stays in the book; a school may hold for the whole
 * site.
 *
 * Protects: what was moved from one system to another is told at both; a stop that a seed or a clock booked of itself
 * goes with what it came from.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE setbacks DROP CONSTRAINT setbacks_kind_check;
            ALTER TABLE setbacks ADD CONSTRAINT setbacks_kind_check CHECK (kind IN ('swished', 'hosed',
                'hosed_chlorinated', 'replaced', 'dried', 'stood_closed', 'stood_open', 'medicine', 'moved'));
            ALTER TABLE setbacks ADD COLUMN change_id char(26) REFERENCES changes (id) ON DELETE CASCADE;

            CREATE TABLE seeds (
                id             char(26) PRIMARY KEY,
                site_id        char(26) NOT NULL,
                system_id      char(26) NOT NULL,
                user_id        char(26) REFERENCES users (id),
                happened_on    date NOT NULL,
                kind           varchar(20) NOT NULL CHECK (kind IN ('own_media', 'friends_media', 'squeezings',
                    'culture')),
                litres         double precision CHECK (litres > 0 AND litres <= 100000),
                medium         varchar(40),
                from_system_id char(26),
                from_stage_id  char(26),
                made_up        boolean,
                donor          varchar(10) NOT NULL CHECK (donor IN ('clean', 'sick', 'unknown')),
                gain_g_d       double precision NOT NULL CHECK (gain_g_d >= 0),
                low_g_d        double precision NOT NULL CHECK (low_g_d >= 0),
                high_g_d       double precision NOT NULL CHECK (high_g_d >= low_g_d),
                setback_id     char(26) REFERENCES setbacks (id) ON DELETE SET NULL,
                created_at     timestamptz NOT NULL DEFAULT now(),
                updated_at     timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (site_id, from_system_id) REFERENCES systems (site_id, id),
                CHECK (from_system_id IS NULL OR from_system_id <> system_id),
                CHECK ((kind = 'own_media') = (from_system_id IS NOT NULL)),
                CHECK (kind = 'culture' OR litres IS NOT NULL)
            );
            CREATE INDEX seeds_system ON seeds (system_id, happened_on DESC);
            CREATE INDEX seeds_from ON seeds (from_system_id, happened_on DESC) WHERE from_system_id IS NOT NULL;

            CREATE TABLE sleeps (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                slept_from timestamptz NOT NULL,
                woke_at    timestamptz NOT NULL CHECK (woke_at >= slept_from),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX sleeps_system ON sleeps (system_id, woke_at DESC);

            ALTER TABLE school_choices ALTER COLUMN system_id DROP NOT NULL;
            CREATE UNIQUE INDEX school_choices_site ON school_choices (site_id, topic) WHERE system_id IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP INDEX school_choices_site;
            DELETE FROM school_choices WHERE system_id IS NULL;
            ALTER TABLE school_choices ALTER COLUMN system_id SET NOT NULL;
            DROP TABLE sleeps, seeds;
            ALTER TABLE setbacks DROP COLUMN change_id;
            UPDATE setbacks SET kind = 'replaced' WHERE kind = 'moved';
            ALTER TABLE setbacks DROP CONSTRAINT setbacks_kind_check;
            ALTER TABLE setbacks ADD CONSTRAINT setbacks_kind_check CHECK (kind IN ('swished', 'hosed',
                'hosed_chlorinated', 'replaced', 'dried', 'stood_closed', 'stood_open', 'medicine'));
            SQL
            ,
        );
    }
};
