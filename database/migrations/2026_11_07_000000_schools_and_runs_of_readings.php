<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The school of practice a system follows, topic by topic, with who chose it and why; and filters measured by a run
 * of readings.
 *
 * Protects: one school a topic; a measurement is either a pass (flow, in, out) or a run (days, removal), never half
 * of each.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE school_choices (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                topic      varchar(30) NOT NULL,
                school     varchar(30) NOT NULL,
                reason     varchar(200),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (system_id, topic),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            ALTER TABLE filter_tests
                ALTER COLUMN flow_l_h DROP NOT NULL, ALTER COLUMN in_mg_l DROP NOT NULL, ALTER COLUMN out_mg_l
                    DROP NOT NULL,
                ADD COLUMN run jsonb,
                ADD CONSTRAINT filter_tests_pass_or_run CHECK (run IS NULL = (flow_l_h IS NOT NULL
                    AND in_mg_l IS NOT NULL AND out_mg_l IS NOT NULL));
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE school_choices;
            DELETE FROM filter_tests WHERE run IS NOT NULL;
            ALTER TABLE filter_tests DROP CONSTRAINT filter_tests_pass_or_run, DROP COLUMN run,
                ALTER COLUMN flow_l_h SET NOT NULL, ALTER COLUMN in_mg_l SET NOT NULL,
                    ALTER COLUMN out_mg_l SET NOT NULL;
            SQL
            ,
        );
    }
};
