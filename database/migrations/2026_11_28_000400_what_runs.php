<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What runs and what stands: pumps, air, heaters and lamps have a state with its time, person and reason.
 *
 * Protects: a switching is written once; what a pump cost the filter while it stood goes with the switching; a heater
 * moves no water.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE pumps DROP CONSTRAINT pumps_kind_check;
            ALTER TABLE pumps ADD CONSTRAINT pumps_kind_check
                CHECK (kind IN ('water', 'circulator', 'air', 'airlift', 'heater'));
            ALTER TABLE pumps
                ADD COLUMN state      varchar(10) NOT NULL DEFAULT 'on'
                    CHECK (state IN ('on', 'off', 'alternate', 'lent')),
                ADD COLUMN by_day     boolean NOT NULL DEFAULT false,
                ADD COLUMN at_surface boolean NOT NULL DEFAULT false;
            UPDATE pumps SET state = 'off' WHERE NOT running;
            ALTER TABLE stages
                ADD COLUMN lamp_state varchar(10) NOT NULL DEFAULT 'on'
                    CHECK (lamp_state IN ('on', 'off', 'alternate'));

            CREATE TABLE switchings (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                thing        varchar(6) NOT NULL CHECK (thing IN ('pump', 'lamp')),
                part_id      char(26) NOT NULL,
                name         varchar(60) NOT NULL,
                kind         varchar(12) NOT NULL,
                state        varchar(10) NOT NULL CHECK (state IN ('on', 'off', 'alternate', 'lent')),
                was          varchar(10) NOT NULL,
                happened_at  timestamptz NOT NULL,
                reason       varchar(200),
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (state <> was)
            );
            CREATE INDEX switchings_part ON switchings (part_id, happened_at DESC) WHERE withdrawn_at IS NULL;
            CREATE INDEX switchings_system ON switchings (system_id, happened_at DESC) WHERE withdrawn_at IS NULL;
            ALTER TABLE setbacks ADD COLUMN switching_id char(26) REFERENCES switchings (id) ON DELETE CASCADE;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE setbacks DROP COLUMN switching_id;
            DROP TABLE switchings;
            ALTER TABLE stages DROP COLUMN lamp_state;
            DELETE FROM pumps WHERE kind = 'heater';
            ALTER TABLE pumps DROP COLUMN state, DROP COLUMN by_day, DROP COLUMN at_surface;
            ALTER TABLE pumps DROP CONSTRAINT pumps_kind_check;
            ALTER TABLE pumps ADD CONSTRAINT pumps_kind_check CHECK (kind IN ('water', 'circulator', 'air', 'airlift'));
            SQL
            ,
        );
    }
};
