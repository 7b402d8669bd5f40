/** The parts of ECharts that charts here need; loaded only where one is. */
import { BarChart, HeatmapChart, LineChart } from 'echarts/charts';
import {
	DataZoomInsideComponent,
	GridComponent,
	LegendComponent,
	MarkAreaComponent,
	MarkLineComponent,
	MarkPointComponent,
	TooltipComponent,
	VisualMapComponent
} from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';

use([
	BarChart,
	HeatmapChart,
	LineChart,
	GridComponent,
	LegendComponent,
	TooltipComponent,
	DataZoomInsideComponent,
	MarkAreaComponent,
	MarkLineComponent,
	MarkPointComponent,
	VisualMapComponent,
	CanvasRenderer,
	SVGRenderer
]);

export { init } from 'echarts/core';
