package vividcrown.server.settings;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.settings.SettingsDeed;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of settings. */
@Configuration
class SettingsDeeds {

    @Bean
    DeedKinds settingsDeedKinds() {
        return DeedKinds.of(DeedKind.of("SETTINGS_CHANGED", SettingsDeed.Changed.class).ofOwner());
    }
}
