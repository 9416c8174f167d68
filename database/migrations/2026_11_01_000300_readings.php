<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The book: visits, and the readings taken on them.
 *
 * Protects: a visit's key is made by the client, so a repeated submit cannot book twice; a reading
 * keeps what was typed and in which unit beside its canonical value and the interval it stands for;
 * one reading of each parameter a visit; nothing is deleted, an undone visit is withdrawn with who
 * and when. The block-range index keeps years of readings cheap to scan by time.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE visits (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                taken_at     timestamptz NOT NULL,
                booked_at    timestamptz NOT NULL DEFAULT now(),
                withdrawn_at timestamptz,
                withdrawn_by char(26) REFERENCES users (id),
                UNIQUE (site_id, system_id, id),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (taken_at <= booked_at + interval '5 minutes'),
                CHECK ((withdrawn_at IS NULL) = (withdrawn_by IS NULL))
            );
            CREATE INDEX visits_system ON visits (system_id, taken_at DESC, id DESC) WHERE withdrawn_at IS NULL;

            CREATE TABLE readings (
                id        bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                site_id   char(26) NOT NULL,
                system_id char(26) NOT NULL,
                visit_id  char(26) NOT NULL,
                parameter varchar(20) NOT NULL CHECK (parameter IN
                    ('tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'do_mg_l', 'alkalinity_mg_l')),
                typed     varchar(20) NOT NULL,
                unit      varchar(20),
                value     double precision NOT NULL,
                low       double precision NOT NULL,
                high      double precision NOT NULL,
                taken_at  timestamptz NOT NULL,
                FOREIGN KEY (site_id, system_id, visit_id) REFERENCES visits (site_id, system_id, id),
                UNIQUE (visit_id, parameter),
                CHECK (low <= value AND value <= high),
                CHECK (parameter <> 'ph' OR value BETWEEN 4 AND 11),
                CHECK (parameter <> 'temp_c' OR value BETWEEN 0 AND 40),
                CHECK (parameter IN ('ph', 'temp_c') OR value BETWEEN 0 AND 1000)
            );
            CREATE INDEX readings_latest ON readings (system_id, parameter, taken_at DESC);
            CREATE INDEX readings_time ON readings USING brin (taken_at);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE readings, visits');
    }
};
