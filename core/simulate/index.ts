export {
  circumstancesIn,
  roadWeatherAt,
  type Precipitation,
  type RoadWeather,
} from './road-weather';
