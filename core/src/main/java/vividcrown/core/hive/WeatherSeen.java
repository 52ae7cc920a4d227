package vividcrown.core.hive;

/** The weather over the open hive. */
public enum WeatherSeen {
    SUN, CLOUD, HOT, COLD, WIND, RAIN, THUNDER
}
